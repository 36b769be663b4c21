// A file of its own: asked for by name from the whole library, all of the library would come.
export { TagsInput } from '@mantine/core'
