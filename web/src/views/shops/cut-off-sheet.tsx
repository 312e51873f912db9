'use client';

import { Button } from '@/ui/button';
import { Sheet } from '@/ui/sheet';
import type { Import } from './use-import';

/** Of a file that ends early: what is whole of it, or nothing. */
export function CutOffSheet({ undecided, decide, importNothing }: Import) {
  if (undecided?.of.kind !== 'cut off') return null;
  const { file, of } = undecided;
  const missing = of.promised - of.whole;
  return (
    <Sheet
      title="This file is cut off"
      about={`${file.name} ends before it should: it may not have been copied whole.`}
      open
      onOpenChange={(isOpen) => {
        if (!isOpen) importNothing();
      }}
    >
      <p>
        The design of {of.name} is whole.{' '}
        {of.promised === 0
          ? 'Nothing of its journal can be read.'
          : missing === 0
            ? `All ${of.promised} records of its journal are there.`
            : `Of the ${of.promised} records of its journal, the first ${of.whole} are there; ${missing === 1 ? 'the last one is' : `the last ${missing} are`} missing.`}{' '}
        {of.missingPictures > 0 && `Pictures that are missing: ${of.missingPictures}.`}
      </p>
      <div className="mt-4 flex flex-wrap gap-2">
        <Button look="solid" onClick={() => void decide({ takesPart: true })}>
          Import what is whole
        </Button>
        <Button onClick={importNothing}>Import nothing</Button>
      </div>
    </Sheet>
  );
}
