#!/usr/bin/env node
import { bundleFile, ensureBundles } from '../scripts/bundle.mjs'

await ensureBundles(['cli'])
await import(bundleFile('cli'))
