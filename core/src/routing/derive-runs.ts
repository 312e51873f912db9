import type { Fitting, Run, Shop } from '../design/schema';
import { isStraight, type Joins } from '../fittings/joins/joins';
import { isBend } from '../fittings/kinds/fitting-kinds';
import { bendReach, STRAIGHT, USUAL_BEND } from './bend-geometry';
import {
  type DuctLine,
  type DuctLines,
  ductLines,
  firstDirection,
  lastDirection,
} from './duct-lines';
import { type Point3, turnBetween } from './space';

/** A leg that meets the next one within so much goes straight through a junction, rad: 15°. */
export const THROUGH = Math.PI / 12;
/** Two legs that meet what follows at angles within so much of each other are a symmetric Y's, rad: 5°. */
export const ALIKE = Math.PI / 36;
/** Beyond this angle a leg joins against the flow, rad: a right angle, and what drawing is off by. */
export const AGAINST = Math.PI / 2 + 0.02;
/** A hose has some length, m. */
const LEAST_HOSE = 0.02;

/**
 * A shop's runs with what follows from where they lie: centreline length, elbows with the straight
 * between them, the angle each joins at, the hose's length. Runs that are not drawn, or for which
 * typed figures hold, are as typed.
 */
export function deriveRuns(shop: Shop): Run[] {
  const { runs } = shop.ducts;
  return runs.some(({ route }) => route?.isFollowed) ? deriveAlong(shop, ductLines(shop)) : runs;
}

/** As `deriveRuns`, where the lines are known. */
export function deriveAlong(shop: Shop, lines: DuctLines): Run[] {
  const { runs } = shop.ducts;
  if (lines.lines.size === 0) return runs;
  const meeting = meetingsOf(shop, lines);
  return runs.map((run) => {
    const line = lines.lines.get(run.id);
    return line?.run.route?.isFollowed ? derived(line, meeting) : run;
  });
}

/** What a run meets at its downstream end. */
interface Meeting {
  /** The way air leaves by; null: not known. */
  readonly out: Point3 | null;
  readonly bend: Shop['ducts']['nodes'][number]['style']['bend'];
  readonly isJunction: boolean;
  /** Whether every run that meets here is drawn; only then angles are the drawing's. */
  readonly isDrawn: boolean;
  /** Which run goes straight through. */
  readonly through: string | null;
  /** A Y: two legs at one angle, none straight through, as drawn or as one leg's typed figures say. */
  readonly symmetric: 'as drawn' | Joins | null;
  /** What follows a lone run: straight duct to the next elbow or the inlet, m; null: enough. */
  readonly straight: number | null;
}

type Meetings = (node: string) => Meeting;

function meetingsOf(shop: Shop, { lines, intoCollector }: DuctLines): Meetings {
  const into = new Map<string, Run[]>();
  const outOf = new Map<string, Run>();
  for (const run of shop.ducts.runs) {
    into.set(run.to, [...(into.get(run.to) ?? []), run]);
    outOf.set(run.from, run);
  }
  const nodes = new Map(shop.ducts.nodes.map((node) => [node.id, node]));
  const known = new Map<string, Meeting>();
  const outDirection = (node: string): Point3 | null => {
    if (nodes.get(node)?.kind.kind === 'inlet') return intoCollector;
    const next = lines.get(outOf.get(node)?.id ?? '');
    return next ? firstDirection(next) : null;
  };

  /** Straight duct from a node on, along runs that meet no other; `seen` ends what goes in circles. */
  const straightFrom = (node: string, seen: ReadonlySet<string>): number | null => {
    if (nodes.get(node)?.kind.kind === 'inlet') return 0;
    const run = outOf.get(node);
    const line = run && lines.get(run.id);
    if (!run?.route?.isFollowed || !line || seen.has(node) || line.hose) return null;
    const turns = turnsOf(line);
    const firstTurn = turns[0];
    const first = line.legs[0];
    if (!first) return straightFrom(run.to, new Set([...seen, node]));
    if (firstTurn) return Math.max(0, firstTurn.at - firstTurn.reach);
    if ((into.get(run.to) ?? []).length > 1) return null;
    const length = line.legs.reduce((sum, leg) => sum + leg.length, 0);
    const end = endTurn(line, outDirection(run.to), nodes.get(run.to)?.style.bend);
    if (end) return Math.max(0, length - end.reach);
    const on = straightFrom(run.to, new Set([...seen, node]));
    return on === null ? null : length + on;
  };

  return (node) => {
    const before = known.get(node);
    if (before) return before;
    const meeting = into.get(node) ?? [];
    const isJunction = meeting.length > 1;
    const out = outDirection(node);
    const turns = meeting.map((run) => {
      const line = lines.get(run.id);
      const direction = line && lastDirection(line);
      return { run, turn: direction && out ? turnBetween(direction, out) : null };
    });
    const isDrawn = turns.every(({ turn }) => turn !== null);
    const found: Meeting = {
      out,
      bend: nodes.get(node)?.style.bend,
      isJunction,
      isDrawn,
      ...joiningOf(turns, isDrawn),
      straight: isJunction ? null : straightFrom(node, new Set()),
    };
    known.set(node, found);
    return found;
  };
}

/** A run that meets others, and how far it turns into what they flow into, rad; null: not known. */
interface Leg {
  readonly run: Run;
  readonly turn: number | null;
}

/**
 * Which of the runs that meet goes straight through, or whether they are the legs of a Y. What typed figures
 * say of a run holds, whatever the drawing shows: that it goes straight through, or that it is one of a Y's
 * two legs. Else the straightest goes through; and two of which neither does, at one angle, are a Y.
 */
function joiningOf(legs: readonly Leg[], isDrawn: boolean): Pick<Meeting, 'through' | 'symmetric'> {
  const typed = legs.map(({ run }) => run).filter(({ route }) => !route?.isFollowed);
  const typedLeg = typed.find(({ joins }) => joins.kind === 'symmetric');
  if (typedLeg && legs.length === 2) return { through: null, symmetric: typedLeg.joins };
  if (!isDrawn) return { through: null, symmetric: null };
  const [straightest] = legs
    .filter(({ run, turn }) => run.route?.isFollowed && (turn ?? Math.PI) < THROUGH)
    .toSorted((a, b) => (a.turn ?? 0) - (b.turn ?? 0));
  const through = typed.find(({ joins }) => isStraight(joins)) ?? straightest?.run;
  if (through) return { through: through.id, symmetric: null };
  return { through: null, symmetric: isY(legs.map(({ turn }) => turn ?? 0)) ? 'as drawn' : null };
}

/** Whether legs that turn so, rad, into what they flow into are the two of a symmetric Y. */
function isY([one = 0, other = 0, ...more]: readonly number[]): boolean {
  return more.length === 0 && Math.abs(one - other) < ALIKE && Math.max(one, other) <= AGAINST;
}

interface Turn {
  readonly id: string;
  readonly angle: number;
  readonly bend: NonNullable<Meeting['bend']>;
  /** From where the pipe begins to the corner, along the legs, m. */
  readonly at: number;
  readonly reach: number;
  readonly shorter: number;
}

/** The turns a line's own bends make, in the order of the air. */
export function turnsOf({ run, points, legs }: DuctLine): Turn[] {
  const bends = run.route?.bends ?? [];
  return legs.slice(1).flatMap((leg, i): Turn[] => {
    const before = legs[i];
    if (!before) return [];
    const angle = turnBetween(before.direction, leg.direction);
    if (angle < STRAIGHT) return [];
    const bend = bends[points.indexOf(leg.from) - 1];
    const style = bend?.style ?? USUAL_BEND;
    const at = leg.start;
    return [
      {
        id: bend?.id ?? `${run.id}-${i}`,
        angle,
        bend: style,
        at,
        ...bendReach(angle, style, run.diameter),
      },
    ];
  });
}

/** The turn from a line's last leg into what follows it; null: it goes straight on. */
function endTurn(line: DuctLine, out: Point3 | null, bend: Meeting['bend']): Turn | null {
  const direction = line.legs.at(-1)?.direction;
  const angle = direction && out ? turnBetween(direction, out) : 0;
  if (angle < STRAIGHT) return null;
  const style = bend ?? USUAL_BEND;
  const at = line.legs.reduce((sum, { length }) => sum + length, 0);
  return { id: line.run.to, angle, bend: style, at, ...bendReach(angle, style, line.run.diameter) };
}

/** All turns of a line, with the one into what follows it, which is null where it makes none. */
function allTurns(line: DuctLine, meeting: Meeting) {
  const goesOn = !meeting.isJunction || meeting.through === line.run.id;
  const end = goesOn ? endTurn(line, meeting.out, meeting.bend) : null;
  return { end, turns: end ? [...turnsOf(line), end] : turnsOf(line) };
}

/** Straight duct between two elbows, along the legs from where the pipe begins, m. */
export interface Straight {
  readonly from: number;
  readonly to: number;
  /** What there is of it; of a pair's spacer more than its place along the legs, which is the corner. */
  readonly length: number;
}

/**
 * Straight duct of every drawn run between its elbows, m, in the order of the air: before the first, between them, the
 * spacer of a pair, behind the last. Below 0 where two elbows lie over each other.
 */
export function straightsOf(shop: Shop): ReadonlyMap<string, readonly Straight[]> {
  const lines = ductLines(shop);
  const meetingAt = meetingsOf(shop, lines);
  const straights = new Map<string, Straight[]>();
  /** What an elbow at the end of a run takes of the one that follows. */
  const taken = new Map<string, number>();
  const between = (from: number, to: number): Straight => ({ from, to, length: to - from });
  for (const [id, line] of lines.lines) {
    if (!line.run.route?.isFollowed) continue;
    const { end, turns } = allTurns(line, meetingAt(line.run.to));
    const own: Straight[] = [];
    let behind = 0;
    for (const { at, reach, bend } of turns) {
      own.push(between(behind, at - reach));
      if (bend.pair !== null) own.push({ from: at, to: at, length: bend.pair });
      behind = at + reach;
    }
    if (end) taken.set(line.run.to, end.reach);
    else
      own.push(
        between(
          behind,
          line.legs.reduce((sum, { length }) => sum + length, 0),
        ),
      );
    straights.set(id, own);
  }
  for (const { id, from } of shop.ducts.runs) {
    const own = straights.get(id);
    const first = own?.[0];
    if (own && first) own[0] = between(first.from + (taken.get(from) ?? 0), first.to);
  }
  return straights;
}

/** A drawn run with its length, elbows, joining angle and hose. */
function derived(line: DuctLine, meetingAt: Meetings): Run {
  const { run, hose } = line;
  const meeting = meetingAt(run.to);
  const { turns } = allTurns(line, meeting);
  const whole = line.legs.reduce((sum, { length }) => sum + length, 0);
  const length = turns.reduce((sum, { shorter }) => sum - shorter, whole);
  const elbows = turns.flatMap((turn, i): Fitting[] => {
    const next = turns[i + 1];
    const rest = whole - turn.at - turn.reach;
    const { straight } = meeting;
    // Behind the last elbow: what is left of the run, and what goes straight on behind it.
    const beyond = straight === null ? null : Math.max(0, rest + straight);
    const after = next ? Math.max(0, next.at - next.reach - turn.at - turn.reach) : beyond;
    return elbowsOf(turn, after);
  });
  return {
    ...run,
    length: Math.max(0, length),
    fittings: [...elbows, ...run.fittings.filter((fitting) => !isBend(fitting))],
    joins: joinsOf(line, meeting),
    hose:
      run.hose && hose
        ? { ...run.hose, length: Math.max(LEAST_HOSE, hose.length * (1 + (run.route?.slack ?? 0))) }
        : run.hose,
  };
}

/** A turn as the elbows it is made of: one, or two of half its angle. */
function elbowsOf({ id, angle, bend }: Turn, after: number | null): Fitting[] {
  const elbow = (own: string, share: number, straight: number | null): Fitting => ({
    kind: 'elbow',
    id: own,
    style: bend.elbow,
    angle: angle * share,
    radiusRatio: bend.radiusRatio,
    count: 1,
    after: straight,
  });
  return bend.pair === null
    ? [elbow(id, 1, after)]
    : [elbow(`${id}-a`, 0.5, bend.pair), elbow(`${id}-b`, 0.5, after)];
}

/** Straight through, or at the angle it is drawn at: a branch, or a leg of a symmetric Y. */
function joinsOf(line: DuctLine, meeting: Meeting): Joins {
  const { run } = line;
  const { out, isJunction, isDrawn, through, symmetric } = meeting;
  if (!isJunction) return { kind: 'straight' };
  const direction = lastDirection(line);
  if (!isDrawn || !out || !direction) return run.joins;
  if (through === run.id) return { kind: 'straight' };
  const angle = Math.max(STRAIGHT, turnBetween(direction, out));
  if (symmetric !== null && symmetric !== 'as drawn') return symmetric;
  return symmetric === 'as drawn'
    ? { kind: 'symmetric', angle: Math.min(angle, Math.PI / 2) }
    : { kind: 'branch', angle };
}
