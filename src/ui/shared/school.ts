'use client'

import { createContext, useContext } from 'react'
import { DEFAULT_SCHOOL, type School } from '@/core/card'

/** The rules of the school, for everything below. */
export const SchoolContext = createContext<School>(DEFAULT_SCHOOL)
export const useSchool = (): School => useContext(SchoolContext)
