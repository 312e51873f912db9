'use client';

import { NO_DIFF, type Photo, recordWith } from '@frank-gauge/core/journal';
import { format } from 'date-fns';
import { Camera } from 'lucide-react';
import { nanoid } from 'nanoid';
import { useRef, useState } from 'react';
import { toast } from 'sonner';
import { useDesign } from '@/model/use-design';
import { database } from '@/storage/database';
import { apply, record, useJournal } from '@/storage/session';
import { Button } from '@/ui/button';
import { Sheet } from '@/ui/sheet';
import { TextField } from '@/ui/text-field';
import { undoAction } from '../../frame/undo-aloud';
import { Line } from '../line';
import { shrinkPicture } from './shrink-picture';
import { usePicture } from './use-picture';

interface Props {
  /** What the photos are of. */
  readonly of: NonNullable<Photo['of']>;
  /** What it is called: “the reading at Planer”. */
  readonly name: string;
  /** In a table: the button shows its picture only. */
  readonly isCompact?: boolean;
}

/** The photos of something, and a button that adds one. */
export function Photos({ of, name, isCompact = false }: Props) {
  const shop = useDesign((design) => design.id);
  const photos = useJournal((journal) => journal.photos);
  const own = photos.filter((photo) => photo.of?.kind === of.kind && photo.of.id === of.id);
  const input = useRef<HTMLInputElement>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [open, setOpen] = useState<string | null>(null);
  const shown = own.find(({ id }) => id === open) ?? null;
  const add = async (file: File) => {
    setRefusal(null);
    const bytes = await shrinkPicture(file);
    if (typeof bytes === 'string') return setRefusal(bytes);
    const id = nanoid(10);
    try {
      await database().photoFiles.put({ shop, id, bytes });
    } catch {
      return setRefusal('The browser could not store the photo: its storage may be full.');
    }
    const at = new Date().toISOString();
    const stem =
      file.name
        .replace(/\.[^.]*$/, '')
        .replace(/[/\\]/g, '-')
        .slice(0, 100) || 'photo';
    record(`photo of ${name}`, (journal) => {
      journal.photos.push(
        recordWith('photos', { id, at, of, file: `${stem}.jpg`, type: 'image/jpeg' }),
      );
    });
  };
  return (
    <div className="print:hidden">
      <div className="flex flex-wrap items-center gap-2">
        {own.map((photo) => (
          <Thumbnail
            key={photo.id}
            shop={shop}
            photo={photo}
            name={name}
            onOpen={() => setOpen(photo.id)}
          />
        ))}
        <Button
          look="quiet"
          className="inline-flex items-center gap-1.5"
          aria-label={`Add a photo of ${name}`}
          onClick={() => input.current?.click()}
        >
          <Camera size={16} aria-hidden />
          {!isCompact && 'Add a photo'}
        </Button>
      </div>
      <input
        ref={input}
        type="file"
        accept="image/*"
        aria-label={`Photo of ${name}`}
        className="sr-only"
        tabIndex={-1}
        onChange={async (event) => {
          const field = event.currentTarget;
          const [file] = field.files ?? [];
          if (file) await add(file);
          field.value = '';
        }}
      />
      {refusal && (
        <p role="alert" className="text-starved-text">
          {refusal}
        </p>
      )}
      {shown && <PhotoSheet shop={shop} photo={shown} name={name} onClose={() => setOpen(null)} />}
    </div>
  );
}

interface ThumbnailProps {
  readonly shop: string;
  readonly photo: Photo;
  readonly name: string;
  readonly onOpen: () => void;
}

function Thumbnail({ shop, photo, name, onOpen }: ThumbnailProps) {
  const picture = usePicture(shop, photo.id);
  return (
    <button
      type="button"
      aria-label={`Photo of ${name}, ${photo.note || photo.file}`}
      onClick={onOpen}
      className="grid size-16 place-items-center overflow-hidden border border-rule text-[12px] text-quiet hover:border-ink"
    >
      {picture === 'missing' ? (
        'no picture'
      ) : picture ? (
        <img src={picture} alt="" className="size-full object-cover" />
      ) : null}
    </button>
  );
}

interface SheetProps {
  readonly shop: string;
  readonly photo: Photo;
  readonly name: string;
  readonly onClose: () => void;
}

/** One photo at its full size, with its note. */
function PhotoSheet({ shop, photo, name, onClose }: SheetProps) {
  const picture = usePicture(shop, photo.id);
  const remove = () => {
    apply(`remove a photo of ${name}`, {
      ...NO_DIFF,
      removed: [{ kind: 'photos', record: photo }],
    });
    toast('Removed the photo', { action: undoAction() });
    onClose();
  };
  return (
    <Sheet
      title={`Photo of ${name}`}
      about={format(new Date(photo.at), 'MMMM d, yyyy, h:mm a')}
      open
      onOpenChange={onClose}
    >
      {picture === 'missing' ? (
        <p>
          The picture did not come along: a shop saved as a zip has its photos, one saved as a JSON
          file does not.
        </p>
      ) : (
        picture && (
          <img
            src={picture}
            alt={photo.note || photo.file}
            className="max-h-[60dvh] w-full object-contain"
          />
        )
      )}
      <div className="mt-3">
        <Line label="Note">
          <TextField
            label="Note"
            value={photo.note}
            onChange={(note) =>
              apply(
                `note of a photo of ${name}`,
                {
                  ...NO_DIFF,
                  updated: [{ kind: 'photos', before: photo, after: { ...photo, note } }],
                },
                { merge: `photo ${photo.id}` },
              )
            }
          />
        </Line>
      </div>
      <Button look="quiet" className="mt-3" onClick={remove}>
        Remove the photo
      </Button>
    </Sheet>
  );
}
