'use client';

import type { Severity } from '@frank-gauge/core/analysis';
import { nanoid } from 'nanoid';
import Link from 'next/link';
import { useState } from 'react';
import { useDesign, useSelectedDrop, useUnits } from '@/model/use-design';
import { useChoices } from '@/storage/choices';
import { edit } from '@/storage/session';
import { Button } from '@/ui/button';
import { TextField } from '@/ui/text-field';
import { type Issue, issuesAt, type SetAside } from '../parts/issues';

/** What a finding weighs, as a sign before its first words. */
const SIGNS: Readonly<Record<Severity, string>> = { serious: '▼ ', caution: '◆ ', note: '' };

const LINK = 'min-h-11 text-[14px] text-quiet underline hover:text-ink md:min-h-0';

/** What is wrong on the selected drop's way, in sentences; what was set aside stands at the end, with its reason. */
export function Issues() {
  const system = useUnits();
  const shop = useDesign();
  const selected = useSelectedDrop();
  const view = useChoices((choices) => choices.view);
  const rule = useChoices((choices) => choices.rule);
  if (selected?.kind !== 'judged') return null;
  const { standing, aside } = issuesAt(shop, selected, view, rule, system);
  return (
    <section aria-label="Issues" className="mt-4 space-y-3">
      {standing.length === 0 && (
        <p className="border-ink border-t pt-3">
          {selected.standing === 'shut' ? (
            <>{selected.drop.name} is shut: the air that still flows there is leakage.</>
          ) : aside.length > 0 ? (
            'No issues but those you have set aside.'
          ) : (
            <>
              <strong className="font-semibold text-enough-text">● No issues.</strong>{' '}
              {selected.drop.name} has enough airflow and transport velocity.
            </>
          )}
        </p>
      )}
      {standing.map((each) => (
        // Several of a kind may be found in one place.
        <Standing key={`${each.issue} ${each.title} ${each.text}`} issue={each} />
      ))}
      <AsideList aside={aside} />
      <p className="border-rule border-t pt-3 text-[14px] text-quiet">
        <Link href="/sources" className="underline">
          Estimates
        </Link>{' '}
        until measured. Wood dust harms the lungs: wear a respirator when you empty or clean. Local
        codes and licensed practice decide.
      </p>
    </section>
  );
}

function Standing({ issue: { issue, title, text, severity } }: { readonly issue: Issue }) {
  const [isAsked, setAsked] = useState(false);
  return (
    <div className="border-ink border-t pt-3 first:mt-4">
      <strong
        className={`block font-semibold ${severity === 'serious' ? 'text-starved-text' : ''}`}
      >
        {SIGNS[severity]}
        {title}
      </strong>
      {text}{' '}
      {isAsked ? (
        <AsideForm issue={issue} title={title} onDone={() => setAsked(false)} />
      ) : (
        <button
          type="button"
          className={LINK}
          aria-label={`Set aside: ${title}`}
          onClick={() => setAsked(true)}
        >
          Set aside
        </button>
      )}
    </div>
  );
}

function AsideForm({
  issue,
  title,
  onDone,
}: {
  readonly issue: string;
  readonly title: string;
  readonly onDone: () => void;
}) {
  const [reason, setReason] = useState('');
  const [isMissing, setMissing] = useState(false);
  return (
    <form
      noValidate
      aria-label={`Set aside: ${title}`}
      className="mt-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() === '') return setMissing(true);
        edit('set an issue aside', (shop) => {
          const at = new Date().toISOString();
          shop.setAside.push({ id: nanoid(10), issue, reason: reason.trim(), at });
        });
        onDone();
      }}
    >
      <TextField
        saves={false}
        label="Why it is set aside"
        placeholder="why it may stay as it is"
        value={reason}
        onChange={(next) => {
          setReason(next);
          setMissing(false);
        }}
        className="border-b-ink"
      />
      {isMissing && (
        <p role="alert" className="text-[14px] text-starved-text">
          Say why, so that you know it later.
        </p>
      )}
      <div className="flex gap-1.5 pt-1">
        <Button type="submit">Set aside</Button>
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  );
}

function AsideList({ aside }: { readonly aside: readonly SetAside[] }) {
  if (aside.length === 0) return null;
  return (
    <details className="border-ink border-t pt-3">
      <summary className="min-h-11 cursor-pointer md:min-h-0">
        {aside.length === 1 ? 'One issue set aside' : `${aside.length} issues set aside`}
      </summary>
      <ul>
        {aside.map(({ id, title, text, reason }) => (
          <li key={`${id} ${title} ${text}`} className="pt-2">
            {title} <span className="text-quiet">{reason}</span>{' '}
            <button
              type="button"
              className={LINK}
              aria-label={`Bring back: ${title}`}
              onClick={() =>
                edit('bring an issue back', (shop) => {
                  shop.setAside = shop.setAside.filter((each) => each.id !== id);
                })
              }
            >
              Bring back
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}
