/** How labels and what is typed or chosen look, for controls that some library makes. */
export const LOOK_OF = {
  label: 'text-ink2 mb-0.5 block text-[0.86rem]',
  input: 'input w-full text-[1rem] font-medium',
  select: 'select w-full text-[0.94rem] font-medium [font-stretch:84%]',
  textarea: 'textarea w-full text-[1rem] font-medium',
} as const
