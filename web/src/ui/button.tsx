import type { ButtonHTMLAttributes } from 'react';

type Look = 'plain' | 'solid' | 'quiet';

const LOOKS: Record<Look, string> = {
  plain: 'border border-ink bg-transparent hover:bg-selection',
  solid: 'border border-ink bg-ink text-paper hover:opacity-85',
  quiet: 'border border-transparent hover:border-rule hover:bg-selection',
};

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly look?: Look;
}

/** Square corners, a rule for an edge; high enough for a thumb on small screens. */
export function Button({ look = 'plain', className = '', type = 'button', ...rest }: Props) {
  return (
    <button
      type={type}
      className={`inline-flex min-h-11 items-center justify-center gap-1.5 px-3 font-semibold disabled:opacity-45 md:min-h-8 ${LOOKS[look]} ${className}`}
      {...rest}
    />
  );
}
