'use client';

import { outlineFromDxf, setOutline } from '@frank-gauge/core/room';
import { useState } from 'react';
import { toast } from 'sonner';
import { edit } from '@/storage/session';
import { undoAloud } from '../frame/undo-aloud';

/** Larger drawings hold more than a room. */
const LARGEST = 20_000_000;

/** Takes the room's outline from a DXF drawing; one that has none changes nothing. */
export function OutlineFile() {
  const [refusal, setRefusal] = useState<string | null>(null);
  const take = async (file: File) => {
    if (file.size > LARGEST) {
      setRefusal(`${file.name}: at ${Math.round(file.size / 1e6)} MB it is more than a room.`);
      return;
    }
    const read = outlineFromDxf(await file.text());
    if (!read.ok) {
      setRefusal(`${file.name}: ${read.reason}`);
      return;
    }
    setRefusal(null);
    edit('outline from a drawing', (shop) => setOutline(shop, read.outline));
    toast(`The room has the outline of ${file.name}. ${read.note}`.trim(), {
      action: { label: 'Undo', onClick: () => void undoAloud() },
    });
  };
  return (
    <div>
      <label className="inline-flex min-h-11 cursor-pointer items-center py-1 font-semibold hover:underline md:min-h-7">
        Outline from a DXF file
        <input
          type="file"
          accept=".dxf"
          aria-label="DXF file of the room"
          className="sr-only"
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            event.target.value = '';
            if (file) void take(file);
          }}
        />
      </label>
      {refusal && (
        <p role="alert" className="text-[14px] text-starved-text">
          {refusal}
        </p>
      )}
    </div>
  );
}
