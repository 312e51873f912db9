'use client';

import { QRCodeSVG } from 'qrcode.react';
import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import { saveShop, shopToShare } from '@/model/save-shop';
import { database } from '@/storage/database';
import { readRecords } from '@/storage/journal-tables';
import { type LinkSegments, shopLink } from '@/storage/shop-link';
import { noteExported } from '@/storage/shop-list';
import { Button } from '@/ui/button';
import { isOwnAddress } from '@/ui/own-address';
import { Sheet } from '@/ui/sheet';

interface Props {
  readonly id: string;
  readonly name: string;
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
}

/** The ways a shop goes to another device: the system's share sheet, a file, or a code to scan. */
export function SendSheet({ id, name, open, onOpenChange }: Props) {
  return (
    <Sheet
      title="Send to another device"
      about={`${name} can be measured there and come back: import the file here, and the journals are merged.`}
      open={open}
      onOpenChange={onOpenChange}
    >
      <Ways id={id} name={name} />
    </Sheet>
  );
}

function Ways({ id, name }: Pick<Props, 'id' | 'name'>) {
  const shareable = useShareable(id);
  const link = useLink(id);
  const share = async (file: File) => {
    try {
      await navigator.share({ files: [file], title: name });
      await noteExported(id, new Date()).catch(() => undefined);
    } catch (error) {
      // Whoever closes the share sheet has changed their mind.
      if (error instanceof DOMException && error.name === 'AbortError') return;
      toast('The browser did not share the file. Save it and send it yourself.');
    }
  };
  return (
    <>
      <div className="flex flex-wrap gap-2">
        {shareable && (
          <Button look="solid" onClick={() => void share(shareable)}>
            Share…
          </Button>
        )}
        <Button onClick={() => void saveShop(id, 'json')}>Save as a file</Button>
        <Button onClick={() => void saveShop(id, 'zip')}>Save with photos (zip)</Button>
      </div>
      <h3 className="mt-4 font-semibold">Or scan a code</h3>
      {link === 'reading' ? (
        <p role="status" className="text-quiet">
          Preparing the code…
        </p>
      ) : link === null ? (
        <p>This shop is too large for a QR code. Send it as a file.</p>
      ) : (
        <>
          <p>
            It holds the design, the meters and the test points, but no readings: enough to measure
            with. Scan it with the other device’s camera.
          </p>
          <div className="my-2 w-fit max-w-full bg-white p-4">
            <QRCodeSVG
              value={[...link]}
              level="L"
              size={400}
              title={`QR code that opens ${name}`}
              className="h-auto max-w-full"
            />
          </div>
          {isOwnAddress(window.location.hostname) && (
            <p className="text-quiet">
              This page was opened as {window.location.host}, an address no other device can reach.
              Open it by this computer’s name or number in your network first, then scan.
            </p>
          )}
        </>
      )}
    </>
  );
}

/** The shop as a file this browser would share; null where it shares none, or not yet. */
function useShareable(id: string): File | null {
  const [file, setFile] = useState<File | null>(null);
  useEffect(() => {
    let isWanted = true;
    void shopToShare(id).then((made) => {
      if (isWanted) setFile(made);
    });
    return () => {
      isWanted = false;
    };
  }, [id]);
  return file;
}

function useLink(id: string): LinkSegments | null | 'reading' {
  const [link, setLink] = useState<LinkSegments | null | 'reading'>('reading');
  useEffect(() => {
    let isWanted = true;
    const read = async () => {
      const db = database();
      const row = await db.designs.get(id);
      const instruments = await readRecords(db, id, 'instruments');
      const testPoints = await readRecords(db, id, 'testPoints');
      return row
        ? shopLink(window.location.origin, row.document, { instruments, testPoints })
        : null;
    };
    void read()
      .catch(() => null)
      .then((made) => {
        if (isWanted) setLink(made);
      });
    return () => {
      isWanted = false;
    };
  }, [id]);
  return link;
}
