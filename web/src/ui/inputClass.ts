/** How fields for typing look. */
export const inputClass =
  'w-full border border-line bg-sheet px-2 py-1 text-[13px] rounded-[2px] hover:border-soft focus:border-verdigris';
