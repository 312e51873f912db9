'use client';

import { type OutlineFromDxf, setOutline } from '@frank-gauge/core/room';
import type { Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { type Asked, engine } from '@/model/engine';
import { edit } from '@/storage/session';
import { Button } from '@/ui/button';
import type { EngineApi } from '@/workers/engine.worker';
import { undoAction } from '../frame/undo-aloud';

/** Larger drawings hold more than a room. */
const LARGEST = 20_000_000;
/** The longest a drawing may be read, ms. */
const BUDGET = 20_000;

/** Takes the room's outline from a DXF drawing; one that has none changes nothing. */
export function OutlineFile() {
  const [refusal, setRefusal] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const running = useRef<Asked<OutlineFromDxf> | null>(null);
  useEffect(() => () => running.current?.cancel(), []);
  const take = async (file: File) => {
    const refuse = (why: string) => setRefusal(`${file.name}: ${why}`);
    setRefusal(null);
    if (file.size > LARGEST) {
      refuse(`at ${Math.round(file.size / 1e6)} MB it is larger than the drawing of any room.`);
      return;
    }
    const read = async (remote: Remote<EngineApi>): Promise<OutlineFromDxf> => remote.outline(file);
    const own = engine.ask('outline', read, { budget: BUDGET });
    running.current = own;
    setBusy(true);
    const outcome = await own.outcome;
    if (running.current !== own) return;
    running.current = null;
    setBusy(false);
    if (outcome.kind === 'superseded') return;
    if (outcome.kind === 'broken') {
      refuse(
        outcome.isOvertime
          ? `reading it took longer than ${BUDGET / 1000} s and was stopped.`
          : 'the browser broke off reading it.',
      );
      return;
    }
    const { answer } = outcome;
    if (!answer.ok) {
      refuse(answer.reason);
      return;
    }
    edit('outline from a drawing', (shop) => setOutline(shop, answer.outline));
    toast(`The room now has the outline of ${file.name}. ${answer.note}`.trim(), {
      action: undoAction(),
    });
  };
  return (
    <div>
      <label className="inline-flex min-h-11 cursor-pointer items-center py-1 font-semibold hover:underline md:min-h-7">
        Import outline from DXF
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
      {isBusy && (
        <p className="flex items-center gap-3 text-[14px]">
          <span role="status" className="text-quiet">
            Reading the drawing…
          </span>
          <Button onClick={() => running.current?.cancel()}>Stop</Button>
        </p>
      )}
      {refusal && (
        <p role="alert" className="text-[14px] text-starved-text">
          {refusal}
        </p>
      )}
    </div>
  );
}
