import Link from 'next/link';
import { saveFile } from '@/storage/save-file';
import { Button } from '@/ui/button';

export function MissingShop() {
  return (
    <div className="m-8 max-w-prose">
      <h1 className="text-2xl">No such shop here</h1>
      <p className="mt-2">
        Shops live in the browser they were made in. It may have been deleted, or be on another
        device: export it there and import the file here.
      </p>
      <Link href="/" className="mt-4 inline-block border border-ink px-3 py-1 font-semibold">
        All shops
      </Link>
    </div>
  );
}

interface Props {
  readonly reason: string;
  readonly document: unknown;
}

export function BrokenShop({ reason, document }: Props) {
  return (
    <div className="m-8 max-w-prose">
      <h1 className="text-2xl">This shop cannot be read</h1>
      <p className="mt-2">{reason}. Nothing of it has been changed or lost.</p>
      <Button
        className="mt-4"
        onClick={() =>
          saveFile('shop-as-stored.json', JSON.stringify(document, null, 2), 'application/json')
        }
      >
        Save it as a file
      </Button>
    </div>
  );
}
