'use client';

import type { Machine } from '@frank-gauge/core/design';
import { formatShort } from '@frank-gauge/core/quantity';
import { machineSize, type Spot, workingRoom } from '@frank-gauge/core/room';
import { inletMouth } from '@frank-gauge/core/routing';
import { useDesign, useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { TextField } from '@/ui/text-field';
import { FieldLine, Line, ShopQuantity, SizeLine } from '../parts/line';
import { COLLECTOR } from './collector-id';
import { PortLines } from './ducts/port-lines';
import { editInlet, editMachine, place, turnTo } from './edit-things';
import { copyThings, moveTo, removeThings, turnThings } from './edit-together';

const FAR = 200;
const QUARTER = Math.PI / 2;

const SIDE_OPTIONS = [
  { value: 'left', label: 'left' },
  { value: 'right', label: 'right' },
  { value: 'front', label: 'front' },
  { value: 'back', label: 'back' },
] as const;

/** Where a machine stands, how it is turned, how large it is, the room its work takes, its ports. */
export function MachineFields({ machine }: { readonly machine: Machine }) {
  const room = useDesign((shop) => shop.room);
  const size = machineSize(machine);
  const rooms = workingRoom(machine, room.boardLength);
  const sized = (key: 'width' | 'depth', label: string) => (
    <SizeLine
      label={label}
      of={machine.name}
      value={machine.size?.[key] ?? null}
      usual={size[key]}
      onChange={(value) =>
        editMachine(machine.id, label.toLowerCase(), (own) => {
          if (value === null) own.size = null;
          else own.size = { ...machineSize(own), [key]: value };
        })
      }
    />
  );
  const fed = (key: 'ahead' | 'behind', label: string, usual: number) => (
    <SizeLine
      key={key}
      label={label}
      of={machine.name}
      value={machine.feed?.[key] ?? null}
      usual={usual}
      onChange={(value) =>
        editMachine(machine.id, label.toLowerCase(), (own) => {
          const { boardLength } = room;
          if (value === null) own.feed = null;
          else own.feed = { ahead: boardLength, behind: boardLength, ...own.feed, [key]: value };
        })
      }
    />
  );
  return (
    <>
      <Line label="Name">
        <TextField
          label={`Name, ${machine.name}`}
          value={machine.name}
          whenEmpty="A machine needs a name."
          onChange={(name) =>
            editMachine(machine.id, 'name', (own) => {
              own.name = name;
            })
          }
        />
      </Line>
      <PlaceFields id={machine.id} name={machine.name} at={machine.place} turn={machine.turn} />
      {sized('width', 'Width')}
      {sized('depth', 'Depth along the feed')}
      {rooms.map(({ kind, length }) =>
        kind === 'outfeed'
          ? fed('behind', 'Clearance behind', length)
          : fed('ahead', kind === 'stand' ? 'Room to stand' : 'Clearance ahead', length),
      )}
      <PortLines machine={machine} />
      <div className="flex flex-wrap gap-1.5 pt-2">
        <Button onClick={() => copyThings([machine.id])}>Copy with its duct</Button>
        <Button look="quiet" onClick={() => removeThings([machine.id])}>
          Remove machine
        </Button>
      </div>
    </>
  );
}

/** Where the collector stands, how it is turned, and where the ducts arrive. */
export function CollectorFields() {
  const shop = useDesign();
  const system = useUnits();
  const { collector } = shop;
  const inlet = inletMouth(shop);
  return (
    <>
      <PlaceFields id={COLLECTOR} name="the collector" at={collector.place} turn={collector.turn} />
      <Line label="Inlet side">
        <Choice
          label="Inlet side"
          value={collector.inlet.side}
          options={SIDE_OPTIONS}
          onChange={(side) =>
            editInlet((own) => {
              own.side = side;
            })
          }
        />
      </Line>
      <FieldLine
        label="Inlet height"
        value={collector.inlet.height}
        kind="length"
        min={0}
        max={20}
        placeholder={`from its elevation: ${formatShort(inlet?.at.z ?? 0, 'length', system)}`}
        onChange={(height) =>
          editInlet((own) => {
            own.height = height;
          })
        }
        onClear={() =>
          editInlet((own) => {
            own.height = null;
          })
        }
      />
      <p className="text-[14px] text-quiet">Its size comes from Collector, Elevation.</p>
    </>
  );
}

interface PlaceProps {
  readonly id: string;
  readonly name: string;
  readonly at: Spot | null;
  readonly turn: number;
}

/** Coordinates and turn, as an alternative to every drag. */
function PlaceFields({ id, name, at, turn }: PlaceProps) {
  if (!at) {
    return (
      <Button className="mt-1" onClick={() => place(id, name)}>
        Place on the plan
      </Button>
    );
  }
  return (
    <>
      <FieldLine
        label="From the left"
        of={name}
        value={at.x}
        kind="length"
        min={-FAR}
        max={FAR}
        onChange={(x) => moveTo(id, { x, y: at.y })}
      />
      <FieldLine
        label="From the front"
        of={name}
        value={at.y}
        kind="length"
        min={-FAR}
        max={FAR}
        onChange={(y) => moveTo(id, { x: at.x, y })}
      />
      <Line label="Rotation, °">
        <span className="grid grid-cols-[1fr_auto] items-center gap-1">
          <ShopQuantity
            label={`Rotation, °, ${name}`}
            value={turn}
            kind="angle"
            hasUnit={false}
            min={-2 * Math.PI}
            max={2 * Math.PI}
            onChange={(value) => turnTo(id, value)}
          />
          <Button look="quiet" onClick={() => turnThings([id], QUARTER)}>
            Quarter turn
          </Button>
        </span>
      </Line>
    </>
  );
}
