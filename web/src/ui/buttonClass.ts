const looks = {
  main: 'bg-verdigris text-white border-verdigris hover:bg-verdigris-deep disabled:bg-board disabled:text-soft disabled:border-line',
  plain:
    'bg-sheet text-ink border-line hover:border-ink disabled:text-soft/70 disabled:hover:border-line',
  quiet:
    'border-transparent text-verdigris hover:underline underline-offset-2 disabled:text-soft disabled:no-underline',
};

export type ButtonLook = keyof typeof looks;

/** How buttons look, and links that are the next step. */
export function buttonClass(look: ButtonLook): string {
  const padding = look === 'quiet' ? '' : 'px-3 py-1.5';
  return `inline-flex items-center gap-1.5 border rounded-[3px] font-medium whitespace-nowrap ${padding} ${looks[look]}`;
}
