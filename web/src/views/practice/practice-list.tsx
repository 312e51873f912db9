'use client';

import {
  idOfChance,
  LEVEL_OF_WRITTEN,
  LEVELS,
  type Level,
  ofChance,
  WRITTEN_IDS,
} from '@frank-gauge/core/practice';
import { useLiveQuery } from 'dexie-react-hooks';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { type PracticeRow, practiceRows } from '@/storage/practice-progress';
import { Button } from '@/ui/button';
import { LEVEL_WORDS, nameOfPractice, WRITTEN_WORDS } from '@/words/practice-words';
import { ThemeButton } from '../frame/theme-button';

/** Seeds of new shops are drawn below this. */
const SEEDS = 100_000;

/** Practice shops to hunt in: a dozen written ones, and as many as one likes by chance; with how far each is. */
export function PracticeList() {
  const stored = useLiveQuery(() => practiceRows().catch((): null => null));
  const rows = stored ?? [];
  const rowOf = (id: string) => rows.find((row) => row.id === id);
  const drawn = rows.filter(({ id }) => ofChance(id) !== null);
  const router = useRouter();
  const scores = rows.flatMap(({ best }) => best ?? []);
  const begin = (level: Level) => {
    const seed = 1 + ((crypto.getRandomValues(new Uint32Array(1))[0] ?? 0) % SEEDS);
    router.push(`/practice/${idOfChance(level, seed)}`);
  };
  return (
    <main className="mx-auto max-w-220 px-4 pb-16">
      <header className="flex items-center gap-3 border-ink border-b py-4">
        <Link href="/" className="font-name font-semibold text-[21px]">
          Frank Gauge
        </Link>
        <h1 className="text-[21px]">Practice</h1>
        <span className="ml-auto">
          <ThemeButton />
        </span>
      </header>
      <p className="my-4 max-w-prose text-[17px]">
        Hunt for faults in invented shops: open gates, hold a simulated meter anywhere, and say what
        is wrong. You are told what each reading could have shown, and the shortest way there.
        Nothing here touches your own shops.
      </p>
      {stored === null && (
        <p role="alert" className="mb-3 text-starved-text">
          This browser stores nothing: what you do here is gone when you leave the page.
        </p>
      )}
      {scores.length > 0 && (
        <p className="mb-3">
          {scores.length} {scores.length === 1 ? 'shop' : 'shops'} finished, best scores{' '}
          {Math.round(scores.reduce((sum, each) => sum + each, 0) / scores.length)} of 100 on
          average.
        </p>
      )}
      {LEVELS.map((level) => (
        <section key={level} aria-label={LEVEL_WORDS[level].name} className="pt-3">
          <h2 className="border-ink border-b text-[18px]">
            {LEVEL_WORDS[level].name}{' '}
            <span className="pl-2 font-figure font-normal text-[14px] text-quiet">
              {LEVEL_WORDS[level].about}
            </span>
          </h2>
          <ul>
            {WRITTEN_IDS.filter((id) => LEVEL_OF_WRITTEN[id] === level).map((id) => (
              <Line key={id} id={id} about={WRITTEN_WORDS[id].complaint} row={rowOf(id)} />
            ))}
            {drawn
              .filter(({ id }) => ofChance(id)?.level === level)
              .map((row) => (
                <Line key={row.id} id={row.id} about="" row={row} />
              ))}
          </ul>
          <Button look="quiet" className="mt-1" onClick={() => begin(level)}>
            Another one by chance
          </Button>
        </section>
      ))}
    </main>
  );
}

interface LineProps {
  readonly id: string;
  readonly about: string;
  readonly row: PracticeRow | undefined;
}

function Line({ id, about, row }: LineProps) {
  return (
    <li className="border-rule border-b">
      <Link
        href={`/practice/${id}`}
        className="flex min-h-11 flex-wrap items-baseline gap-x-4 py-2 hover:bg-selection"
      >
        <span className="font-semibold text-[17px]">{nameOfPractice(id)}</span>
        <span className="min-w-0 flex-1 basis-70 text-quiet">{about}</span>
        <span className="ml-auto whitespace-nowrap font-figure tabular-nums">{standing(row)}</span>
      </Link>
    </li>
  );
}

function standing(row: PracticeRow | undefined): string {
  if (!row) return '';
  const taken = row.hunt?.readings.length ?? 0;
  const isUnderWay = row.named === null && taken > 0;
  const parts = [
    ...(row.best === null ? [] : [`● best ${row.best}`]),
    ...(isUnderWay ? [`${taken} ${taken === 1 ? 'reading' : 'readings'} so far`] : []),
  ];
  return parts.join(', ');
}
