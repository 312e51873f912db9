'use client';

import { worstDrop } from '@frank-gauge/core/analysis';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { memo } from 'react';
import { standingPart } from '@/model/shop-parts';
import { useDesign, useDropResults } from '@/model/use-design';
import { useSession } from '@/storage/session';
import { useFloorConflicts } from './floor-conflicts';

export const STEPS = [
  { path: 'floor', name: 'Floor' },
  { path: 'collector', name: 'Collector' },
  { path: 'air', name: 'Air' },
  { path: 'log', name: 'Log' },
  { path: 'leaks', name: 'Leaks' },
  { path: 'improve', name: 'Improve' },
  { path: 'build', name: 'Build' },
  { path: 'upkeep', name: 'Upkeep' },
] as const;

/** What there is to do at the steps that have more than one bench. */
export const BENCHES = {
  collector: {
    name: 'Collector',
    benches: [
      { path: '', name: 'Compare' },
      { path: 'elevation', name: 'Elevation' },
      { path: 'joints', name: 'Joints' },
      { path: 'noise', name: 'Noise' },
      { path: 'test', name: 'Field test' },
    ],
  },
  log: {
    name: 'Log',
    benches: [
      { path: '', name: 'Readings' },
      { path: 'round', name: 'Guided round' },
      { path: 'history', name: 'History' },
      { path: 'points', name: 'Test points' },
      { path: 'instruments', name: 'Instruments' },
      { path: 'weighings', name: 'Weighings' },
      { path: 'table', name: 'Import and export' },
    ],
  },
  improve: {
    name: 'Improve',
    benches: [
      { path: '', name: 'What to do next' },
      { path: 'trays', name: 'What if' },
      { path: 'report', name: 'Report' },
    ],
  },
  build: {
    name: 'Build',
    benches: [
      { path: '', name: 'Parts' },
      { path: 'cuts', name: 'Cut list' },
      { path: 'assembly', name: 'Assembly' },
      { path: 'drawings', name: 'Drawings' },
      { path: 'templates', name: 'Templates' },
      { path: 'shop-made', name: 'Shop-made parts' },
      { path: 'switches', name: 'Gate switches' },
      { path: 'labels', name: 'Labels' },
    ],
  },
} as const;

/** The order of work, with a mark where a step has something to say. */
export function Steps({ id }: { readonly id: string }) {
  const pathname = usePathname();
  const { room, machines } = useDesign(standingPart);
  const readings = useSession((state) => (state.status === 'open' ? state.readings : 0));
  const results = useDropResults();
  const worst = worstDrop(results);
  const isCrowded = useFloorConflicts().some(({ kind }) => kind !== 'feed blocked');
  const isShort = worst !== null && worst.standing !== 'enough';
  const marks: Record<(typeof STEPS)[number]['path'], { sign: string; says: string } | null> = {
    floor:
      room.outline.length < 3 || machines.some(({ place }) => place === null)
        ? { sign: '…', says: 'not drawn yet' }
        : isCrowded
          ? { sign: '▼', says: 'some clearances are blocked' }
          : { sign: '✓', says: 'all clearances are free' },
    collector: null,
    air:
      results.length === 0
        ? { sign: '…', says: 'no machine connected yet' }
        : isShort
          ? { sign: '▼', says: 'a drop is short' }
          : { sign: '✓', says: 'every drop has enough' },
    log:
      readings === 0 ? { sign: '…', says: 'no readings yet' } : { sign: '✓', says: 'has readings' },
    improve: null,
    build: null,
    upkeep: null,
    leaks: readings === 0 ? { sign: '…', says: 'no readings yet' } : null,
  };
  return (
    <nav
      aria-label="Order of work"
      className="shrink-0 border-rule max-sm:grid max-sm:grid-cols-4 sm:flex border-b print:hidden md:w-22 md:flex-col md:border-r md:border-b-0 md:pt-2"
    >
      {STEPS.map(({ path, name }, index) => {
        const address = `/shop/${id}/${path}`;
        const isHere = pathname === address || pathname.startsWith(`${address}/`);
        const mark = marks[path];
        return (
          <StepLink
            key={path}
            address={address}
            number={index + 1}
            name={name}
            isHere={isHere}
            sign={mark?.sign ?? ''}
            says={mark?.says ?? ''}
          />
        );
      })}
      <SourcesLink />
    </nav>
  );
}

const toTop = () => {
  if (window.scrollY > 0) window.scrollTo(0, 0);
};

interface StepProps {
  readonly address: string;
  readonly number: number;
  readonly name: string;
  readonly isHere: boolean;
  /** What there is to say of it, as a sign and in words; '' for nothing. */
  readonly sign: string;
  readonly says: string;
}

const StepLink = memo(function StepLink({ address, number, name, isHere, sign, says }: StepProps) {
  return (
    <Link
      href={address}
      // The whole of it ahead: a step between views waits for no server.
      prefetch
      // Left to the router, it would have the new view laid out once more to see where it stands. On a
      // phone, where the page itself scrolls, the next view begins at its top all the same.
      scroll={false}
      onClick={toTop}
      aria-current={isHere ? 'page' : undefined}
      className="flex min-h-11 min-w-0 flex-1 items-center justify-center gap-0.5 px-0.5 font-medium font-name text-[14px] sm:gap-2 sm:px-3 sm:text-[17px] hover:bg-selection aria-[current=page]:bg-ink aria-[current=page]:text-paper md:grid md:min-h-14 md:flex-none md:grid-cols-[auto_1fr] md:content-center md:gap-x-1.5 md:gap-y-0 md:px-2"
    >
      <span className="shrink-0 border-current font-figure text-[12px] max-sm:sr-only sm:grid sm:size-5 sm:place-items-center sm:rounded-full sm:border">
        {number}
      </span>
      <span className="md:col-span-2 md:row-start-2">{name}</span>
      {sign !== '' && (
        <span
          title={says}
          className={`font-figure text-[13px] sm:ml-auto ${sign === '▼' && !isHere ? 'text-starved-text' : ''}`}
        >
          <span aria-hidden>{sign}</span>
          <span className="sr-only">, {says}</span>
        </span>
      )}
    </Link>
  );
});

const SourcesLink = memo(function SourcesLink() {
  return (
    <Link
      href="/sources"
      className="hidden p-2.5 text-[14px] text-quiet underline hover:text-ink md:mt-auto md:block md:pb-4"
    >
      Sources
    </Link>
  );
});
