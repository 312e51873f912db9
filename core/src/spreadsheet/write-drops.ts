import { STYLES, type UnitSystem } from '../quantity/unit-system';
import { fromSI, UNITS } from '../quantity/units';
import { writeTable } from './write-table';

/** A drop as a line of a table; SI. */
export interface DropLine {
  readonly name: string;
  readonly need: number;
  /** Null: it has no answer. */
  readonly air: {
    readonly flow: number;
    readonly uncertainty: number;
    readonly velocity: number;
    /** In the slowest main behind it; null: there is none. */
    readonly mainVelocity: number | null;
    /** Suction just behind the hood. */
    readonly hoodSuction: number;
    readonly status: string;
  } | null;
}

/** Digits that a table of predictions is written with. */
const DIGITS = 6;

/** Drops as CSV in the units of a system, which the header names. */
export function writeDrops(drops: readonly DropLine[], system: UnitSystem): string {
  const { flow, velocity, pressure } = STYLES[system];
  const unit = { flow: flow.unit, velocity: velocity.unit, pressure: pressure.unit } as const;
  const symbol = (kind: keyof typeof unit) => UNITS[unit[kind]].symbol;
  const write = (value: number | null, kind: keyof typeof unit) =>
    value === null ? '' : String(Number(fromSI(value, unit[kind]).toPrecision(DIGITS)));
  const fields = [
    'Drop',
    `Required (${symbol('flow')})`,
    `Airflow (${symbol('flow')})`,
    `Uncertainty (${symbol('flow')})`,
    `Drop velocity (${symbol('velocity')})`,
    `Main velocity (${symbol('velocity')})`,
    `Hood static pressure (${symbol('pressure')})`,
    'Status',
  ];
  const data = drops.map(({ name, need, air }) => [
    name,
    write(need, 'flow'),
    write(air?.flow ?? null, 'flow'),
    write(air?.uncertainty ?? null, 'flow'),
    write(air?.velocity ?? null, 'velocity'),
    write(air?.mainVelocity ?? null, 'velocity'),
    write(air?.hoodSuction ?? null, 'pressure'),
    air?.status ?? 'no answer',
  ]);
  return writeTable(fields, data);
}
