'use client';

import { ELBOW_STYLE_IDS, ELBOW_STYLES, usualRadiusRatio } from '@frank-gauge/core/catalogue';
import { type Bend, type BendStyle, type Run, runsBehind } from '@frank-gauge/core/design';
import type { DuctLine, Point3 } from '@frank-gauge/core/routing';
import { useDesign } from '@/model/use-design';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { RemoveButton } from '@/ui/remove-button';
import { editRun } from '../../parts/edit-runs';
import { joinName } from '../../parts/joins/join-forms';
import { DiameterLine, FieldLine, Line, ShopQuantity } from '../../parts/line';
import { removeThings } from '../edit-together';
import { DrawIt } from './draw-it';
import {
  bendAt,
  movePointTo,
  raiseLevel,
  splitRunInHalf,
  straighten,
  styleBend,
} from './edit-ducts';
import { JoinLine } from './join-line';
import { useDucts } from './use-ducts';

const FAR = 200;
const HIGHEST = 20;

/** A run's size, where it lies and what its bends are, to be changed. */
export function DuctBody({ id }: { readonly id: string }) {
  const shop = useDesign();
  const { lines, derived } = useDucts();
  const run = derived(id);
  const line = lines.lines.get(id);
  if (!run) return null;
  const behind = runsBehind(shop, id).length - 1;
  return (
    <>
      <DiameterLine
        label="Inside diameter"
        of={run.name}
        value={run.diameter}
        onChange={(diameter) =>
          editRun(run, 'diameter', (own) => {
            own.diameter = diameter;
          })
        }
      />
      {line ? <RouteFields run={run} line={line} /> : <DrawIt run={run} />}
      <div className="flex flex-wrap gap-1.5 pt-2">
        {line && (
          <>
            <Button onClick={() => bendAt(id, middleOf(line))}>Add a bend</Button>
            <Button onClick={() => splitRunInHalf(id)}>Split</Button>
          </>
        )}
        <Button look="quiet" onClick={() => removeThings([id])}>
          {behind > 0 ? `Remove it and ${behind} upstream` : 'Remove'}
        </Button>
      </div>
    </>
  );
}

/** The middle of a line's longest leg. */
function middleOf({ legs, points }: DuctLine): Point3 {
  const [longest] = legs.toSorted((a, b) => b.length - a.length);
  const [from, to] = longest ? [longest.from, longest.to] : [points[0], points.at(-1)];
  const middle = (a = 0, b = 0) => (a + b) / 2;
  return { x: middle(from?.x, to?.x), y: middle(from?.y, to?.y), z: middle(from?.z, to?.z) };
}

/** A drawn run's points by their coordinates, its bends by how they are made. */
function RouteFields({ run, line }: { readonly run: Run; readonly line: DuctLine }) {
  const nodes = useDesign(({ ducts }) => ducts.nodes);
  const joints = [run.from, run.to].flatMap((id, i) => {
    const node = nodes.find((each) => each.id === id);
    return node?.kind.kind === 'joint' && node.at
      ? [{ id, at: node.at, name: i === 0 ? 'upstream end' : 'downstream end' }]
      : [];
  });
  const bends = run.route?.bends ?? [];
  const level = levelOf(line);
  return (
    <>
      {level !== null && (
        <FieldLine
          label="Height, this level"
          of={`all ducts as high as ${run.name}`}
          value={level}
          kind="length"
          min={0}
          max={HIGHEST}
          onChange={(to) => raiseLevel(level, to)}
        />
      )}
      {run.hose && run.route && (
        <FieldLine
          label="Hose slack"
          of={run.name}
          value={run.route.slack}
          kind="ratio"
          min={0}
          max={1}
          onChange={(slack) =>
            editRun(run, 'slack of the hose', (own) => {
              if (own.route) own.route.slack = slack;
            })
          }
        />
      )}
      {bends.map((bend, i) => (
        <BendLines
          key={bend.id}
          run={run}
          bend={bend}
          name={run.hose && i === 0 ? 'hose end' : `bend ${i + (run.hose ? 0 : 1)}`}
          isHoseEnd={run.hose !== null && i === 0}
        />
      ))}
      {run.joins.kind === 'branch' && run.route?.isFollowed && (
        <JoinLine run={run} angle={run.joins.angle} />
      )}
      {run.joins.kind === 'symmetric' && run.route?.isFollowed && (
        <Line label="joins by">{joinName(run.joins)}, as drawn</Line>
      )}
      {joints.map(({ id, at, name }) => (
        <PointLine key={id} id={id} at={at} name={name} of={run.name} />
      ))}
    </>
  );
}

/** The height most of a line's level legs hang at, m; null: none is level. */
function levelOf({ legs }: DuctLine): number | null {
  const [longest] = legs
    .filter(({ direction }) => Math.abs(direction.z) < 0.01)
    .toSorted((a, b) => b.length - a.length);
  return longest ? longest.from.z : null;
}

interface PointProps {
  readonly id: string;
  readonly at: Point3;
  readonly name: string;
  readonly of: string;
}

/** A point's place: from the left, from the front, and over the floor. */
function PointLine({ id, at, name, of }: PointProps) {
  const axis = (key: 'x' | 'y' | 'z', what: string) => (
    <ShopQuantity
      label={`${what}, ${name} of ${of}`}
      value={at[key]}
      kind="length"
      hasUnit={false}
      min={key === 'z' ? 0 : -FAR}
      max={key === 'z' ? HIGHEST : FAR}
      onChange={(value) => movePointTo(id, { ...at, [key]: value })}
    />
  );
  return (
    <Line label={name} isWide>
      <span className="grid grid-cols-3 gap-1">
        {axis('x', 'From the left')}
        {axis('y', 'From the front')}
        {axis('z', 'Height')}
      </span>
    </Line>
  );
}

const STYLE_OPTIONS = [
  ...ELBOW_STYLE_IDS.map((value) => ({ value, label: ELBOW_STYLES[value].name })),
  ...ELBOW_STYLE_IDS.map((value) => ({
    value: `pair ${value}` as const,
    label: `two half turns, ${ELBOW_STYLES[value].name.toLowerCase()}`,
  })),
];

/** Of a pair when it is first chosen, in diameters. Common practice, no source. */
const SPACER = 2;

function BendLines({
  run,
  bend,
  name,
  isHoseEnd,
}: {
  readonly run: Run;
  readonly bend: Bend;
  readonly name: string;
  readonly isHoseEnd: boolean;
}) {
  const { style } = bend;
  const change = (next: Partial<BendStyle>) => styleBend(bend.id, { ...style, ...next });
  return (
    <>
      <PointLine id={bend.id} at={bend.at} name={name} of={run.name} />
      {!isHoseEnd && (
        <div className="grid grid-cols-[1fr_auto] items-center gap-x-2">
          <Choice
            label={`Elbow type of ${name} of ${run.name}`}
            value={style.pair === null ? style.elbow : (`pair ${style.elbow}` as const)}
            options={STYLE_OPTIONS}
            onChange={(value) => {
              const isPair = value.startsWith('pair ');
              const elbow = ELBOW_STYLE_IDS.find((id) => value.endsWith(id)) ?? style.elbow;
              change({
                elbow,
                radiusRatio: usualRadiusRatio(elbow),
                pair: isPair ? (style.pair ?? SPACER * run.diameter) : null,
              });
            }}
          />
          <RemoveButton
            label={`Remove ${name} of ${run.name}`}
            onClick={() => straighten(run.id, bend.id)}
          />
        </div>
      )}
    </>
  );
}
