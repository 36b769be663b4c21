import { NativeSelect } from '@mantine/core'

interface Props<T extends string> {
  label: string
  /** What it says while nothing is picked, and all is shown. */
  all?: string
  value: T | ''
  options: readonly (T | { value: T; label: string })[]
  onChange: (value: T | '') => void
  size?: 'xs' | 'sm'
  disabled?: boolean
}

/** Picks what is shown of a list. */
export function Filter<T extends string>(props: Props<T>) {
  const { label, all = label.toLowerCase(), options, onChange, size = 'xs', ...rest } = props
  return (
    <NativeSelect
      size={size}
      aria-label={label}
      data={[{ value: '', label: all }, ...options]}
      onChange={(event) => onChange(event.currentTarget.value as T | '')}
      {...rest}
    />
  )
}
