'use client';

import type {
  PlaceScore,
  Routed,
  RouteProposal,
  SizedDucts,
  Unmet,
  WhyNotRouted,
} from '@frank-gauge/core/improve';
import { formatShort } from '@frank-gauge/core/quantity';
import { proxy } from 'comlink';
import { type ReactNode, useEffect } from 'react';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { useChoices } from '@/storage/choices';
import { Button } from '@/ui/button';
import { ROUTE_NAMES } from '@/words/route-words';
import { marginText } from '../ducts/ghost-ducts';
import { lookAt } from '../floor-look';
import { adoptRoute, adoptSizes, adoptSwap } from './adopt-advice';
import { showGhost, useGhost } from './ghost';
import { type Advice, useAdvice } from './use-advice';

/** What the program can judge by itself: where machines stand, how ducts are routed, how wide they are. */
export function Helpers() {
  return (
    <section aria-label="Suggestions" className="border-rule border-t px-3 pt-3 pb-4">
      <h2 className="text-[17px]">Suggestions</h2>
      <PlaceIt />
      <RouteIt />
      <SizeIt />
    </section>
  );
}

function Helper({
  title,
  about,
  children,
}: {
  readonly title: string;
  readonly about: string;
  readonly children: ReactNode;
}) {
  return (
    <section
      id={title.toLowerCase().replace(' ', '-')}
      aria-label={title}
      className="border-rule border-b py-2"
    >
      <h3 className="text-[16px]">{title}</h3>
      <p className="pb-1 text-[14px] text-quiet">{about}</p>
      {children}
    </section>
  );
}

/** The biggest chip makers nearest: how far from that, and which two had better change. */
function PlaceIt() {
  const shop = useDesign();
  const system = useUnits();
  const { machines } = shop;
  const { advice, start, stop, forget } = useAdvice<PlaceScore | { readonly swaps: null }>();
  const name = (id: string) => machines.find((machine) => machine.id === id)?.name ?? '';
  const write = (value: number) => formatShort(value, 'length', system);
  const score = advice.kind === 'done' ? advice.answer : null;
  return (
    <Helper
      title="Placement"
      about="Machines that make the most chips are best placed near the blower."
    >
      <Searching
        name="Suggest swaps"
        advice={advice}
        onStart={() => start((advise) => advise.place(shop))}
        onStop={stop}
      />
      {score?.swaps === null && (
        <p role="alert" className="text-[14px]">
          ▼ Place machines and the collector first.
        </p>
      )}
      {score && score.swaps !== null && (
        <>
          <p className="text-[14px]">
            Air travels {write(score.weighted)} to the collector on average, weighted by airflow;
            all paths together are {write(score.total)} long.{' '}
            {name(score.machines[0]?.machine ?? '')} needs the most air.
          </p>
          {score.swaps.length === 0 && (
            <p className="text-[14px]">No swap of two machines would help.</p>
          )}
          <ul aria-label="Machines to swap">
            {score.swaps.map(({ one, other, weighted }) => (
              <li key={`${one} ${other}`} className="flex items-center gap-2 text-[14px]">
                <span className="min-w-0 flex-1">
                  {name(one)} and {name(other)}: {write(weighted)} on average
                </span>
                <Button
                  look="quiet"
                  onClick={() => {
                    adoptSwap(one, other);
                    forget();
                  }}
                >
                  Swap
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
    </Helper>
  );
}

const WHY: Readonly<Record<WhyNotRouted, string>> = {
  'nothing to join': 'Place a machine and the collector first.',
  'inlet at a wall':
    'The collector’s inlet faces a wall, with no room for a duct. Rotate or move the collector, or choose another inlet side.',
  'no way through': 'Posts or walls block every route from a machine to the collector.',
  unsolved: 'No route has a solution: the blower would run past the end of its curve.',
};

/** Mains and branches for what stands, in three styles; one is adopted and edited on. */
function RouteIt() {
  const shop = useDesign();
  const system = useUnits();
  const view = useChoices((choices) => choices.view);
  const { advice, start, stop, forget } = useAdvice<Routed>();
  const shown = useGhost(({ ghost }) => ghost?.route);
  useEffect(() => {
    if (advice.kind !== 'done' || !advice.answer.ok) return;
    // The first is drawn at once; the pointer and the keyboard go on to the others.
    lookAt('plan');
    const { proposals, present } = advice.answer;
    showGhost(proposals[0] ? { route: proposals[0], present } : null);
    return () => showGhost(null);
  }, [advice]);
  const run = () =>
    start((advise, findingMessage) =>
      advise.route(
        shop,
        view,
        proxy((done: number, of: number) => findingMessage(`${done} of ${of}`, null)),
      ),
    );
  const present = advice.kind === 'done' && advice.answer.ok ? advice.answer.present : null;
  return (
    <Helper
      title="Routing"
      about="Proposes mains and branches under the ceiling and around posts. Using one replaces the present ducts."
    >
      <Searching name="Route ducts" advice={advice} onStart={run} onStop={stop} />
      {advice.kind === 'done' && !advice.answer.ok && (
        <p role="alert" className="text-[14px] text-starved-text">
          ▼ {WHY[advice.answer.why]}
        </p>
      )}
      {advice.kind === 'done' && advice.answer.ok && (
        <ul aria-label="Suggested routes">
          {advice.answer.proposals.map((proposal) => (
            <Proposal
              key={proposal.style}
              proposal={proposal}
              system={system}
              isShown={proposal === shown}
              onShow={() => showGhost({ route: proposal, present })}
              onAdopt={() => {
                adoptRoute(proposal);
                forget();
              }}
            />
          ))}
        </ul>
      )}
    </Helper>
  );
}

function Proposal({
  proposal,
  system,
  isShown,
  onShow,
  onAdopt,
}: {
  readonly proposal: RouteProposal;
  readonly system: 'us' | 'metric';
  /** It is the one on the plan. */
  readonly isShown: boolean;
  readonly onShow: () => void;
  readonly onAdopt: () => void;
}) {
  const { style, score } = proposal;
  const isSettling = score.slowestMain < 1;
  return (
    <li
      onPointerEnter={onShow}
      className={`grid grid-cols-[1fr_auto] items-start gap-x-2 border-rule border-t py-1.5 text-[14px] ${isShown ? 'bg-selection shadow-[inset_3px_0_0_var(--ink)]' : ''}`}
    >
      <span className="pl-2">
        <strong>{ROUTE_NAMES[style]}</strong>
        {isShown && <span className="text-quiet"> (on the plan)</span>}
        <br />
        worst drop {marginText(score)}; {formatShort(score.length, 'length', system)} of duct,{' '}
        {score.fittings} fittings, {formatShort(score.wall, 'area', system)} of sheet metal
        {score.toMend > 0 && `; ${score.toMend} issues to fix`}
        {Number.isFinite(score.slowestMain) && (
          <>
            ; slowest main {isSettling ? '▼ ' : ''}
            {Math.round(100 * score.slowestMain)} % of the minimum transport velocity
          </>
        )}
      </span>
      <Button
        onClick={onAdopt}
        onFocus={onShow}
        aria-label={`Use this route: ${ROUTE_NAMES[style]}`}
      >
        Use this route
      </Button>
    </li>
  );
}

/** Sizes run by run, for every set of gates the shop's rule lets open. */
function SizeIt() {
  const shop = useDesign();
  const system = useUnits();
  const view = useChoices((choices) => choices.view);
  const { advice, start, stop, forget } = useAdvice<SizedDucts>();
  const run = () =>
    start((advise, findingMessage) =>
      advise.size(
        shop,
        view,
        proxy((tried: number, best: SizedDucts) => findingMessage(`${tried} combinations`, best)),
      ),
    );
  return (
    <Helper
      title="Sizing"
      about="Chooses a diameter for every run, so that every gate combination has enough airflow and transport velocity with the least pipe."
    >
      <Searching name="Size ducts" advice={advice} onStart={run} onStop={stop} />
      {advice.kind === 'done' && (
        <>
          <p className="text-[14px]">
            {advice.answer.unmet.length === 0
              ? 'All requirements are met'
              : `Short by ${Math.round(100 * advice.answer.score.short)} % at worst`}
            , with {formatShort(advice.answer.score.wall, 'area', system)} of sheet metal;{' '}
            {advice.answer.tried} combinations tried
            {advice.answer.isExact ? ', every possible one' : ''}.
          </p>
          <UnmetList unmet={advice.answer.unmet} />
          <SizeList sized={advice.answer} />
          <Button
            onClick={() => {
              adoptSizes(advice.answer);
              forget();
            }}
          >
            Use these sizes
          </Button>
        </>
      )}
    </Helper>
  );
}

const MOST_UNMET = 4;

function UnmetList({ unmet }: { readonly unmet: readonly Unmet[] }) {
  const tree = useDuctTree();
  const system = useUnits();
  const drop = (id: string) => tree.drops.find((each) => each.id === id)?.name ?? '';
  const run = (id: string) => tree.upstreamFirst.find((each) => each.id === id)?.name ?? '';
  const sentenceOf = (what: Unmet) => {
    switch (what.kind) {
      case 'need':
        return `${drop(what.drop)} gets ${formatShort(what.gets, 'flow', system)} of ${formatShort(what.wants, 'flow', system)}; no size gives it more.`;
      case 'carrying':
        return `${run(what.run)} moves at ${formatShort(what.velocity, 'velocity', system)} while ${what.drawing.map(drop).join(', ')} is open; chips need ${formatShort(what.wants, 'velocity', system)}. Open another gate with it.`;
      case 'unsolved':
        return `With ${what.drawing.map(drop).join(', ')} open the blower would run past its curve.`;
    }
  };
  return (
    <ul className="text-[14px]">
      {unmet.slice(0, MOST_UNMET).map((what) => (
        <li key={sentenceOf(what)}>▼ {sentenceOf(what)}</li>
      ))}
      {unmet.length > MOST_UNMET && <li>and {unmet.length - MOST_UNMET} more.</li>}
    </ul>
  );
}

/** What changes, run by run. */
function SizeList({ sized }: { readonly sized: SizedDucts }) {
  const tree = useDuctTree();
  const system = useUnits();
  const changed = tree.upstreamFirst.filter(
    ({ id, diameter }) => Math.abs((sized.diameters.get(id) ?? diameter) - diameter) > 1e-4,
  );
  if (changed.length === 0)
    return <p className="text-[14px]">The present sizes are already the best found.</p>;
  return (
    <ul className="py-1 text-[14px]">
      {changed.map(({ id, name, diameter }) => (
        <li key={id}>
          {name}: {formatShort(diameter, 'diameter', system)} →{' '}
          {formatShort(sized.diameters.get(id) ?? diameter, 'diameter', system)}
        </li>
      ))}
    </ul>
  );
}

/** The button that starts a search, what it has done so far, and the button that stops it. */
function Searching<T>({
  name,
  advice,
  onStart,
  onStop,
}: {
  readonly name: string;
  readonly advice: Advice<T>;
  readonly onStart: () => void;
  readonly onStop: () => void;
}) {
  return (
    <div className="flex items-center gap-2" aria-live="polite">
      {advice.kind === 'searching' ? (
        <>
          <Button onClick={onStop}>Stop</Button>
          <span className="text-[14px] text-quiet">Searching… {advice.progress}</span>
        </>
      ) : (
        <Button onClick={onStart}>{name}</Button>
      )}
      {advice.kind === 'broken' && (
        <span role="alert" className="text-[14px] text-starved-text">
          ▼ The search stopped early. Try again.
        </span>
      )}
    </div>
  );
}
