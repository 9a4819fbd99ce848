/** How labels and what is typed or chosen look, for controls that some library makes. */
export const CONTROL_CLASS = {
  label: 'text-ink2 mb-0.5 block text-aside',
  input: 'input w-full text-body font-medium',
  select: 'select w-full text-plain font-medium [font-stretch:84%]',
  textarea: 'textarea w-full text-body font-medium',
} as const
