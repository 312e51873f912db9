import type { ReactNode } from 'react';
import { Button } from '@/ui/button';

interface Props {
  readonly title: string;
  readonly onSave: () => void;
  /** What is said beside the title. */
  readonly children?: ReactNode;
}

/** The head of a list that goes to the store or to the saw: its title, and ways to take it along. */
export function ListHead({ title, onSave, children }: Props) {
  return (
    <div className="flex flex-wrap items-baseline gap-x-4">
      <h1 className="text-[18px]">{title}</h1>
      {children}
      <span className="ml-auto flex gap-2 print:hidden">
        <Button look="quiet" onClick={onSave}>
          Save as CSV
        </Button>
        <Button look="quiet" onClick={() => window.print()}>
          Print
        </Button>
      </span>
    </div>
  );
}
