import { englishBvh } from './en/bvhWords'

/** What is said of a BVH file that cannot be read. */
export const SAY_BVH = englishBvh
