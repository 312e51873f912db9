import { Trash2 } from 'lucide-react';
import { Button } from './button';

interface Props {
  /** What is removed, for those who cannot see the row it stands in. */
  readonly label: string;
  readonly onClick: () => void;
}

/** Takes a row out of a table. */
export function RemoveButton({ label, onClick }: Props) {
  return (
    <Button look="quiet" className="px-1" aria-label={label} onClick={onClick}>
      <Trash2 size={15} aria-hidden />
    </Button>
  );
}
