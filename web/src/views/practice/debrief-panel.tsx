'use client';

import type { Fault } from '@frank-gauge/core/inference';
import type { Debrief } from '@frank-gauge/core/practice';
import { proxy } from 'comlink';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import { engine } from '@/model/engine';
import { keepScore } from '@/storage/practice-progress';
import { faultAmount, faultName, instructionOf, percentOf } from '@/words/fault-words';
import {
  gradeWords,
  minutesWords,
  scoreSentence,
  sentenceCase,
  toldWords,
} from '@/words/practice-words';
import { namesIn } from './practice-names';
import type { OpenHunt } from './use-hunt';

interface Props {
  readonly open: OpenHunt;
  readonly named: readonly Fault[];
}

type State =
  | { readonly kind: 'working'; readonly done: number; readonly of: number }
  | { readonly kind: 'broken' }
  | { readonly kind: 'done'; readonly debrief: Debrief };

/** What was really wrong, what the readings told, and the shortest way there. */
export function DebriefPanel({ open, named }: Props) {
  const [state, setState] = useState<State>({ kind: 'working', done: 0, of: 1 });
  const { id, hunt } = open;
  useEffect(() => {
    const asked = engine.ask('debrief', (remote) =>
      remote.debrief(
        id,
        hunt,
        named,
        // It comes by another way than the answer, and may come after it.
        proxy((done: number, of: number) =>
          setState((now) => (now.kind === 'working' ? { kind: 'working', done, of } : now)),
        ),
      ),
    );
    void asked.outcome.then((outcome) => {
      if (outcome.kind === 'superseded') return;
      if (outcome.kind === 'broken' || !outcome.answer) return setState({ kind: 'broken' });
      setState({ kind: 'done', debrief: outcome.answer });
      // Without storage there is no progress to keep; the list says so.
      keepScore(id, outcome.answer.score).catch(() => undefined);
    });
    return asked.cancel;
  }, [id, hunt, named]);
  if (state.kind === 'broken') {
    return (
      <p role="alert" className="pt-3 text-[17px]">
        The hunt could not be gone over: the browser stopped the calculation. Reload the page; your
        readings are kept.
      </p>
    );
  }
  if (state.kind === 'working') {
    return (
      <p role="status" className="pt-3 text-[17px] text-quiet">
        Going over your readings, {Math.round((100 * state.done) / state.of)} % done…
      </p>
    );
  }
  return <Told open={open} named={named} debrief={state.debrief} />;
}

function Told({ open, named, debrief }: Props & { readonly debrief: Debrief }) {
  const { tree, shop, hunt } = open;
  const names = namesIn(tree);
  const { units } = shop.shop;
  const describe = (fault: Fault) =>
    sentenceCase(
      'run' in fault ? `${faultName(fault)} in ${names.run(fault.run)}` : faultName(fault),
    );
  const numberOf = (reading: string) =>
    hunt.readings.findIndex((each) => each.reading.id === reading) + 1;
  return (
    <section aria-label="Debrief" className="pt-3">
      <p className="text-[17px]">{scoreSentence(debrief)}</p>
      <h2 className="pt-4 text-[18px]">What was wrong</h2>
      {debrief.truth.length === 0 ? (
        <p>Nothing: the shop is as its owner believes it to be.</p>
      ) : (
        <ul>
          {debrief.truth.map(({ fault, amount }) => (
            <li key={describe(fault)}>
              {describe(fault)}, {faultAmount({ fault, amount, low: amount, high: amount }, units)}.
            </li>
          ))}
        </ul>
      )}
      <h2 className="pt-3 text-[18px]">What you said</h2>
      <ul>
        {debrief.grades.map((grade, i) => {
          const own = named[i];
          return (
            <li key={i}>
              {own
                ? `${describe(own)}: ${gradeWords(grade)}`
                : debrief.grades.length === 1 && named.length === 0
                  ? `Nothing is wrong: ${gradeWords(grade)}`
                  : 'One cause was overlooked.'}
            </li>
          );
        })}
      </ul>
      {debrief.told.length > 0 && (
        <>
          <h2 className="pt-3 text-[18px]">What each reading told</h2>
          <p className="text-[14px] text-quiet">
            How likely the readings up to it make what was really wrong.
          </p>
          <ol className="border-rule border-t">
            {debrief.told.map((told) => (
              <li key={told.reading} className="flex gap-3 border-rule border-b py-1">
                <span className="w-6 font-figure">{numberOf(told.reading)}</span>
                <span className="min-w-0 flex-1">{toldWords(told)}</span>
                <span className="whitespace-nowrap font-figure tabular-nums">
                  {percentOf(told.after)}
                </span>
              </li>
            ))}
          </ol>
        </>
      )}
      {debrief.way.length > 0 && (
        <>
          <h2 className="pt-3 text-[18px]">The program’s way</h2>
          <p className="text-[14px] text-quiet">
            It knew no more than you. Each reading is the one that promised to tell most for the
            minutes it takes.
          </p>
          <ol className="border-rule border-t">
            {debrief.way.map((step, i) => (
              <li key={i} className="border-rule border-b py-1">
                {instructionOf(step, names)}{' '}
                <span className="whitespace-nowrap text-quiet">
                  {minutesWords(step.minutes)}, then {percentOf(step.after)}.
                </span>
              </li>
            ))}
          </ol>
        </>
      )}
      <p className="pt-3">
        <Link href="/practice" className="underline">
          Choose another practice shop
        </Link>
      </p>
    </section>
  );
}
