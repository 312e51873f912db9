'use client';

import type { Machine, Port } from '@frank-gauge/core/design';
import { type Goal, inMachine, portMouth, runFromPort } from '@frank-gauge/core/routing';
import { useState } from 'react';
import { useDuctTree } from '@/model/use-design';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { whyNoRoute } from '@/words/duct-words';
import { DiameterLine, Line, ShopQuantity } from '../../parts/line';
import { NeedLine } from '../../parts/need-line';
import { outward } from '../../parts/outward';
import { editMachine } from '../edit-things';
import { routeUsually } from './edit-ducts';
import { useDucts } from './use-ducts';

const REACH = 10;

/** A machine's ports: where each is on it, how wide, and where its duct leads. */
export function PortLines({ machine }: { readonly machine: Machine }) {
  return machine.ports.map((port) => <PortLine key={port.id} machine={machine} port={port} />);
}

function PortLine({ machine, port }: { readonly machine: Machine; readonly port: Port }) {
  const name = machine.ports.length > 1 ? `Port ${port.name || port.id}` : 'Port';
  const edit = (field: string, change: (own: Port) => void) =>
    editMachine(machine.id, `${field} of the port`, (own) => {
      const found = own.ports.find(({ id }) => id === port.id);
      if (found) change(found);
    });
  const mouth = portMouth(machine, port);
  const at = mouth && (port.at ?? inMachine(machine, mouth.at));
  const axis = (key: 'x' | 'y' | 'z', what: string) =>
    at && (
      <ShopQuantity
        label={`${name}, from the middle, ${what}, ${machine.name}`}
        value={at[key]}
        kind="diameter"
        hasUnit={false}
        min={key === 'z' ? 0 : -REACH}
        max={REACH}
        onChange={(value) =>
          edit('place', (own) => {
            own.at = { ...at, [key]: value };
          })
        }
      />
    );
  return (
    <>
      {at && (
        <Line label={`${name}, from the middle`} isWide>
          <span className="grid grid-cols-3 gap-1">
            {axis('x', 'across')}
            {axis('y', 'along the feed')}
            {axis('z', 'height')}
          </span>
        </Line>
      )}
      <DiameterLine
        label={`${name} inside diameter`}
        of={machine.name}
        value={port.diameter}
        onChange={(diameter) =>
          edit('diameter', (own) => {
            own.diameter = diameter;
          })
        }
      />
      <NeedLine port={port} of={`, ${name.toLowerCase()} of ${machine.name}`} onEdit={edit} />
      <ServedBy machine={machine} port={port} name={name} onEdit={edit} />
      {mouth && <RouteLine machine={machine} port={port} />}
    </>
  );
}

interface ServedProps {
  readonly machine: Machine;
  readonly port: Port;
  readonly name: string;
  readonly onEdit: (field: string, change: (own: Port) => void) => void;
}

/** A port that no duct leads from may have a small collector beside it: then none is missed. */
function ServedBy({ machine, port, name, onEdit }: ServedProps) {
  const { drops } = useDuctTree();
  if (drops.some((drop) => drop.machine.id === machine.id && drop.port.id === port.id)) return null;
  return (
    <Line label="Served by">
      <Choice
        label={`${name} served by, ${machine.name}`}
        value={port.servedBy}
        options={[
          { value: 'ducts', label: 'the ducts' },
          { value: 'own collector', label: 'a collector of its own' },
        ]}
        onChange={(servedBy) =>
          onEdit('collector', (own) => {
            own.servedBy = servedBy;
          })
        }
      />
    </Line>
  );
}

/** Leads the port's duct the usual way to what is chosen: a new one, or the one it has, anew. */
function RouteLine({ machine, port }: { readonly machine: Machine; readonly port: Port }) {
  const tree = useDuctTree();
  const { lines } = useDucts();
  const [goal, setGoal] = useState('inlet');
  const [refusal, setRefusal] = useState<string | null>(null);
  const own = runFromPort(
    { ducts: { nodes: [...tree.nodes.values()], runs: tree.upstreamFirst } },
    machine.id,
    port.id,
  );
  const runs = outward(tree).filter(
    ({ run }) =>
      lines.lines.has(run.id) &&
      run.id !== own?.id &&
      tree.nodes.get(run.from)?.kind.kind !== 'port',
  );
  const drops = outward(tree).filter(
    ({ run }) =>
      lines.lines.has(run.id) &&
      run.id !== own?.id &&
      tree.nodes.get(run.from)?.kind.kind === 'port',
  );
  const route = () => {
    const to: Goal = goal === 'inlet' ? { kind: 'inlet' } : { kind: 'run', run: goal };
    const routed = routeUsually(machine.id, port.id, to);
    setRefusal(routed.ok ? null : whyNoRoute(routed.why));
  };
  return (
    <>
      <Line label={own ? 'Reroute its duct to' : 'Route its duct to'} isWide>
        <span className="grid grid-cols-[1fr_auto] gap-1">
          <Choice
            label={`${own ? 'Reroute' : 'Route'} its duct to, ${machine.name}`}
            value={goal}
            options={[
              { value: 'inlet', label: 'the collector' },
              ...[...runs, ...drops].map(({ run }) => ({ value: run.id, label: run.name })),
            ]}
            onChange={setGoal}
          />
          <Button onClick={route}>{own ? 'Reroute duct' : 'Route duct'}</Button>
        </span>
      </Line>
      {refusal && (
        <p role="alert" className="text-[14px] text-starved-text">
          ▼ {refusal}
        </p>
      )}
    </>
  );
}
