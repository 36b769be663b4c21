#!/usr/bin/env node
import { builtCli, ensureCli } from '../scripts/cli.mjs'

await ensureCli()
await import(builtCli)
