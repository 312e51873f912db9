'use client';

import type { Run } from '@frank-gauge/core/design';
import { useState } from 'react';
import { useDesign } from '@/model/use-design';
import { Button } from '@/ui/button';
import { whyNoRoute } from '@/words/duct-words';
import { begin, chooseTool } from './drawing-state';
import { routeUsually } from './edit-ducts';
import { useDucts } from './use-ducts';

/** Draws a run that so far is typed: a drop the usual way at once, another from its downstream end. */
export function DrawIt({ run }: { readonly run: Run }) {
  const ducts = useDesign((shop) => shop.ducts);
  const { lines } = useDucts();
  const [refusal, setRefusal] = useState<string | null>(null);
  const nodes = new Map(ducts.nodes.map((node) => [node.id, node]));
  const from = nodes.get(run.from)?.kind;
  const to = nodes.get(run.to)?.kind;
  const at = lines.places.get(run.to);
  const draw = () => {
    if (!at || !to || to.kind === 'port') {
      setRefusal('First draw the duct it connects to, and place the collector.');
      return;
    }
    const end =
      to.kind === 'inlet'
        ? ({ kind: 'inlet' } as const)
        : ({ kind: 'node', node: run.to } as const);
    if (from?.kind === 'port') {
      const routed = routeUsually(from.machine, from.port, end);
      setRefusal(routed.ok ? null : whyNoRoute(routed.why));
      return;
    }
    chooseTool('draw');
    begin({ end, at, from: at, name: run.name, redraws: run.id });
  };
  return (
    <>
      <p className="text-[14px] text-quiet">
        This run is typed, not drawn. If you draw it, its length, bends and angles come from the
        drawing.
      </p>
      <Button onClick={draw}>Draw it</Button>
      {refusal && (
        <p role="alert" className="text-[14px] text-starved-text">
          ▼ {refusal}
        </p>
      )}
    </>
  );
}
