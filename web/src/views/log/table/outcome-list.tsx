'use client';

import { timeOf } from '@frank-gauge/core/journal';
import type { RowOutcome, Table } from '@frank-gauge/core/spreadsheet';
import { format } from 'date-fns';
import { useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { asRead } from '../../parts/taking/as-read';
import { faultSentence } from './table-words';
import type { Outcomes } from './use-outcomes';

interface Props {
  readonly table: Table;
  readonly outcomes: Outcomes;
  readonly names: ReadonlyMap<string, string>;
  readonly onImport: () => void;
  readonly onNothing: () => void;
}

/** Lines of faults and rows of readings that are shown; the rest is counted. */
const MOST_FAULTS = 40;
const MOST_PREVIEWED = 8;

const counted = (count: number, one: string, many: string) =>
  `${count.toLocaleString('en')} ${count === 1 ? one : many}`;

/** What comes of the rows: how many can be imported, the first of them, and what is wrong with the others. */
export function OutcomeList({ table, outcomes, names, onImport, onNothing }: Props) {
  const { rows, isCurrent } = outcomes;
  const of = <K extends RowOutcome['kind']>(kind: K) =>
    rows.filter((row): row is Extract<RowOutcome, { kind: K }> => row.kind === kind);
  const [good, faulty] = [of('good'), of('faulty')];
  const [duplicates, leftOut] = [of('duplicate').length, of('left out').length];
  return (
    <div className="space-y-4" aria-busy={!isCurrent}>
      <p role="status" className="font-semibold">
        {counted(good.length, 'reading', 'readings')} can be imported
        {duplicates > 0 && `; ${counted(duplicates, 'is', 'are')} here already`}
        {leftOut > 0 && `; ${counted(leftOut, 'is', 'are')} left out`}
        {faulty.length > 0 && `; ${counted(faulty.length, 'row has', 'rows have')} faults`}.
      </p>
      {good.length > 0 && (
        <Preview
          good={good.slice(0, MOST_PREVIEWED)}
          names={names}
          more={good.length - MOST_PREVIEWED}
        />
      )}
      {faulty.length > 0 && <Faults table={table} faulty={faulty} />}
      <div className="flex flex-wrap gap-2">
        <Button look="solid" disabled={good.length === 0 || !isCurrent} onClick={onImport}>
          Import {counted(good.length, 'reading', 'readings')}
        </Button>
        <Button look="quiet" onClick={onNothing}>
          Import nothing
        </Button>
      </div>
    </div>
  );
}

interface PreviewProps {
  readonly good: readonly Extract<RowOutcome, { kind: 'good' }>[];
  readonly names: ReadonlyMap<string, string>;
  readonly more: number;
}

function Preview({ good, names, more }: PreviewProps) {
  const system = useUnits();
  return (
    <div className="overflow-x-auto">
      <table aria-label="First readings of the file" className="w-full max-w-3xl text-left">
        <tbody>
          {good.map(({ line, reading }) => (
            <tr key={line} className="border-rule border-b">
              <td className="py-1 pr-3 whitespace-nowrap text-quiet">
                {format(timeOf(reading), 'MMM d, yyyy, h:mm a')}
              </td>
              <td className="py-1 pr-3 whitespace-nowrap">{names.get(reading.testPoint)}</td>
              <td className="py-1 whitespace-nowrap">{asRead(reading, system)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {more > 0 && <p className="pt-1 text-quiet">and {counted(more, 'more', 'more')}</p>}
    </div>
  );
}

interface FaultsProps {
  readonly table: Table;
  readonly faulty: readonly Extract<RowOutcome, { kind: 'faulty' }>[];
}

function Faults({ table, faulty }: FaultsProps) {
  const lines = faulty.slice(0, MOST_FAULTS);
  return (
    <section aria-label="Faults">
      <h2 className="text-[16px]">What is wrong, by line</h2>
      <ul className="pt-1">
        {lines.map(({ line, faults }) => (
          <li key={line} className="py-0.5">
            <span className="text-quiet">Line {line}: </span>
            {faults.map((fault, i) => (
              <span key={`${fault.column} ${fault.what.kind}`}>
                {i > 0 && ' '}
                {fault.column !== null && (
                  <b className="font-semibold">{table.headers[fault.column]}: </b>
                )}
                {faultSentence(fault)}
              </span>
            ))}
          </li>
        ))}
      </ul>
      {faulty.length > lines.length && (
        <p className="text-quiet">
          and {counted(faulty.length - lines.length, 'line', 'lines')} more
        </p>
      )}
    </section>
  );
}
