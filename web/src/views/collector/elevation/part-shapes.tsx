import type { AssemblyPart, Elevation, Joint, Placed } from '@frank-gauge/core/assembly';
import type { CollectorParts } from '@frank-gauge/core/design';
import type { ReactNode } from 'react';
import type { Drawing } from './drawing';

interface ShapeProps {
  readonly placed: Placed;
  readonly drawing: Drawing;
  readonly parts: CollectorParts;
  readonly elevation: Elevation;
}

/** One part seen from the front, at its true size. */
export function PartShape(props: ShapeProps) {
  const Shape = SHAPES[props.placed.part];
  return Shape ? <Shape {...props} /> : null;
}

const box = ({ placed, drawing }: Pick<ShapeProps, 'placed' | 'drawing'>) => {
  const x = drawing.x(placed.x0);
  const y = drawing.z(placed.z1);
  return { x, y, width: drawing.x(placed.x1) - x, height: drawing.z(placed.z0) - y };
};

function Plain(props: ShapeProps) {
  return <rect {...box(props)} />;
}

/** A drum with its ribs, on castors; a box with a cross for flat sides. */
function Bin(props: ShapeProps) {
  const { x, y, width, height } = box(props);
  const { drawing, parts, placed, elevation } = props;
  const { assembly, separator } = parts;
  const floor = drawing.z(0);
  const castor = Math.max(2, (drawing.z(0) - drawing.z(assembly.bin.raised)) / 2);
  const deck = drawing.z(assembly.bin.raised);
  const platform = drawing.z(placed.z0);
  const plate = elevation.lidZ - separator.inletDiameter;
  return (
    <>
      {assembly.bin.raised > 0.01 && (
        <>
          <circle cx={x + width * 0.18} cy={floor - castor} r={castor} />
          <circle cx={x + width * 0.82} cy={floor - castor} r={castor} />
        </>
      )}
      {platform < deck - 1 && (
        <path
          d={`M${x + 2} ${deck} L${x + width - 2} ${deck} L${x + width - 2} ${platform} Z`}
          fill="var(--selection)"
        />
      )}
      <rect x={x} y={y} width={width} height={height} rx={assembly.bin.shape === 'round' ? 3 : 0} />
      {assembly.bin.shape === 'round' ? (
        [1 / 3, 2 / 3].map((share) => (
          <line
            key={share}
            x1={x}
            x2={x + width}
            y1={y + share * height}
            y2={y + share * height}
            opacity={0.5}
          />
        ))
      ) : (
        <path
          d={`M${x} ${y} L${x + width} ${y + height} M${x + width} ${y} L${x} ${y + height}`}
          opacity={0.25}
        />
      )}
      {separator.kind === 'baffle' && plate > placed.z0 && (
        <line
          x1={x}
          x2={x + width}
          y1={drawing.z(plate)}
          y2={drawing.z(plate)}
          strokeDasharray="5 3"
        />
      )}
    </>
  );
}

/** A cyclone's barrel and cone with inlet and outlet; elbows on a lid for the others. */
function Separator(props: ShapeProps) {
  const { x, y, width, height } = box(props);
  const { drawing, parts, elevation } = props;
  const pipe = drawing.length(parts.separator.inletDiameter);
  const middle = x + width / 2;
  if (parts.separator.kind !== 'cyclone') {
    const foot = y + height;
    const elbow = (centre: number, side: -1 | 1) => {
      const outer = centre + (side * pipe) / 2;
      const inner = centre - (side * pipe) / 2;
      return `M${inner} ${foot} L${inner} ${foot - height * 0.35} Q${inner} ${y} ${centre + side * pipe} ${y} L${centre + side * pipe} ${y + Math.min(pipe, height * 0.6)} Q${outer} ${y + Math.min(pipe, height * 0.6)} ${outer} ${foot} Z`;
    };
    return (
      <>
        <path d={elbow(x + width * 0.22, -1)} />
        <rect x={middle - pipe / 2} y={y} width={pipe} height={height} />
      </>
    );
  }
  const barrel = height * (1 - elevation.sizes.separator.coneShare);
  const mouth = Math.max(width * 0.16, 3);
  const inlet = parts.separator.proportions
    ? drawing.length(parts.separator.proportions.inletHeight)
    : Math.min(pipe, barrel * 0.7);
  const reach = Math.max(pipe * 0.35, 6);
  return (
    <>
      <rect
        x={x - reach}
        y={y + barrel * 0.1}
        width={reach + 1}
        height={inlet}
        fill="var(--strip)"
      />
      <path
        d={`M${x} ${y} L${x + width} ${y} L${x + width} ${y + barrel} L${middle + mouth} ${y + height} L${middle - mouth} ${y + height} L${x} ${y + barrel} Z`}
      />
      <line x1={x} x2={x + width} y1={y + barrel} y2={y + barrel} opacity={0.5} />
      <path
        d={`M${middle - pipe / 2} ${y} L${middle - pipe / 2} ${y + barrel * 0.6} M${middle + pipe / 2} ${y} L${middle + pipe / 2} ${y + barrel * 0.6}`}
        strokeDasharray="3 3"
        opacity={0.6}
      />
    </>
  );
}

/** Flanges at the inlet, and the wheel's line within. */
function Blower(props: ShapeProps) {
  const own = box(props);
  const { drawing, parts, elevation } = props;
  const wheel = drawing.length(parts.blower.wheelDiameter);
  const flange = drawing.length(parts.separator.inletDiameter) * 1.25;
  const isUpright = elevation.shaft === 'upright';
  const cx = own.x + own.width / 2;
  const cy = own.y + own.height / 2;
  return (
    <>
      <rect {...own} rx={2} />
      {isUpright ? (
        <>
          <line x1={cx - wheel / 2} x2={cx + wheel / 2} y1={cy} y2={cy} strokeDasharray="4 3" />
          <rect x={cx - flange / 2} y={own.y + own.height - 2} width={flange} height={4} />
        </>
      ) : (
        <>
          <line x1={cx} x2={cx} y1={cy - wheel / 2} y2={cy + wheel / 2} strokeDasharray="4 3" />
          <rect x={own.x - 2} y={cy - flange / 2} width={4} height={flange} />
        </>
      )}
    </>
  );
}

const FINS = [0.2, 0.35, 0.5, 0.65, 0.8];

function Motor(props: ShapeProps) {
  const { x, y, width, height } = box(props);
  const isUpright = props.elevation.shaft === 'upright';
  return (
    <>
      <rect x={x} y={y} width={width} height={height} rx={3} fill="var(--strip)" />
      {FINS.map((share) =>
        isUpright ? (
          <line
            key={share}
            x1={x + share * width}
            x2={x + share * width}
            y1={y + 3}
            y2={y + height - 3}
            opacity={0.4}
          />
        ) : (
          <line
            key={share}
            x1={x + 3}
            x2={x + width - 3}
            y1={y + share * height}
            y2={y + share * height}
            opacity={0.4}
          />
        ),
      )}
    </>
  );
}

/** A cartridge shows its pleats, a bag its round head. */
function Filter(props: ShapeProps) {
  const { x, y, width, height } = box(props);
  const pleats = Math.max(4, Math.round(width / 7));
  if (props.elevation.sizes.filter.isBag) {
    const round = Math.min(width / 2, height / 3);
    return (
      <path
        d={`M${x} ${y + height} L${x} ${y + round} Q${x} ${y} ${x + width / 2} ${y} Q${x + width} ${y} ${x + width} ${y + round} L${x + width} ${y + height} Z`}
      />
    );
  }
  return (
    <>
      <rect x={x} y={y} width={width} height={height} />
      {Array.from({ length: pleats - 1 }, (_, i) => (
        <line
          key={`${pleats} ${i + 1}`}
          x1={x + ((i + 1) * width) / pleats}
          x2={x + ((i + 1) * width) / pleats}
          y1={y + 5}
          y2={y + height - 5}
          opacity={0.3}
        />
      ))}
      <rect x={x - 2} y={y - 2} width={width + 4} height={7} fill="var(--strip)" />
      <rect x={x - 2} y={y + height - 5} width={width + 4} height={7} fill="var(--strip)" />
    </>
  );
}

function FilterBin(props: ShapeProps) {
  const { x, y, width, height } = box(props);
  if (props.parts.assembly.filterBin.kind === 'bag') {
    const round = Math.min(width / 3, height / 2);
    return (
      <path
        d={`M${x} ${y} L${x + width} ${y} L${x + width} ${y + height - round} Q${x + width} ${y + height} ${x + width - round} ${y + height} L${x + round} ${y + height} Q${x} ${y + height} ${x} ${y + height - round} Z`}
      />
    );
  }
  return <rect x={x} y={y} width={width} height={height} rx={2} />;
}

function Cart(props: ShapeProps) {
  const { x, y, width, height } = box(props);
  const wheel = Math.max(2, height * 0.35);
  return (
    <>
      <rect
        x={x}
        y={y}
        width={width}
        height={Math.max(3, height - 2 * wheel)}
        fill="var(--strip)"
      />
      <circle cx={x + width * 0.12} cy={y + height - wheel} r={wheel} />
      <circle cx={x + width * 0.88} cy={y + height - wheel} r={wheel} />
    </>
  );
}

function Enclosure(props: ShapeProps) {
  return <rect {...box(props)} fill="none" strokeDasharray="9 4" strokeWidth={2.5} />;
}

const SHAPES: Partial<Record<AssemblyPart, (props: ShapeProps) => ReactNode>> = {
  bin: Bin,
  lid: Plain,
  separator: Separator,
  blower: Blower,
  motor: Motor,
  filter: Filter,
  filterBin: FilterBin,
  cart: Cart,
  box: Enclosure,
};

interface JointShapeProps {
  readonly joint: Joint;
  readonly drawing: Drawing;
}

/** A pipe as two walls, a hose with its ribs. */
export function JointShape({ joint, drawing }: JointShapeProps) {
  const across = Math.max(5, drawing.length(joint.diameter));
  const d = joint.points
    .map(({ x, z }, i) => `${i === 0 ? 'M' : 'L'}${drawing.x(x)} ${drawing.z(z)}`)
    .join(' ');
  const line = { d, fill: 'none', strokeLinejoin: 'round' as const };
  return (
    <>
      <path {...line} stroke="var(--ink)" strokeWidth={across} />
      <path {...line} stroke="var(--paper)" strokeWidth={across - 3} />
      {joint.kind === 'hose' && (
        <path
          {...line}
          stroke="var(--ink)"
          strokeWidth={across - 3}
          strokeDasharray="1 4"
          opacity={0.6}
        />
      )}
    </>
  );
}
