'use client';

import { gatesOfDrop } from '@frank-gauge/core/analysis';
import { NO_DIFF, recordWith, type TestPoint } from '@frank-gauge/core/journal';
import { UNITS, type UnitId } from '@frank-gauge/core/quantity';
import {
  type DateOrder,
  type PlaceOfTable,
  type RowOutcome,
  TABLE_FIELDS,
} from '@frank-gauge/core/spreadsheet';
import { nanoid } from 'nanoid';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { apply, useJournal } from '@/storage/session';
import { Choice } from '@/ui/choice';
import { useAdopt } from '@/ui/refusal';
import { Segmented } from '@/ui/segmented';
import { undoAction } from '../../frame/undo-aloud';
import {
  DIAMETER_OF_NO_DUCT,
  insideOf,
  type Place,
  SOMEWHERE,
  usePlaces,
} from '../../parts/taking/use-places';
import { firstMeter } from '../../parts/taking/use-taking';
import { ColumnTable } from './column-table';
import { OutcomeList } from './outcome-list';
import { type ChosenTable, hasOpenOrder, shownOrder, textsOf } from './read-file';
import { DELIMITER_NAMES, ENCODING_NAMES } from './table-words';
import { type TableOptions, useOutcomes } from './use-outcomes';

const NO_UNIT = 'none';
/** Units for values that name none: those of what meters show. */
const UNIT_CHOICES: readonly UnitId[] = [
  'fpm',
  'ms',
  'mph',
  'kmh',
  'cfm',
  'm3h',
  'inwg',
  'pa',
  'one',
];

interface Props {
  readonly chosen: ChosenTable;
  readonly onDone: () => void;
}

/** A chosen table: what its columns hold, what it leaves open, what comes of each row, and the import. */
export function ImportTable({ chosen, onDone }: Props) {
  const { table, fileName, encoding } = chosen;
  const [columns, setColumns] = useState(chosen.columns);
  const read = { ...chosen, columns };
  const system = useUnits();
  const [order, setOrder] = useState<DateOrder>(system === 'us' ? 'month first' : 'day first');
  const [unit, setUnit] = useState<UnitId | typeof NO_UNIT>(NO_UNIT);
  const [meter, setMeter] = useState<string | null>(null);
  const shop = useDesign();
  const instruments = useJournal((journal) => journal.instruments);
  const meters = useMemo(
    () => (instruments.length > 0 ? instruments : [firstMeter()]),
    [instruments],
  );
  const usual = meters.find(({ kind }) => kind === 'vane' || kind === 'hot wire') ?? meters[0];
  const used = meters.find(({ id }) => id === meter) ?? usual ?? firstMeter();
  const naming = usePlaceNames(textsOf(read, 'test point'));
  const { upstreamFirst } = useDuctTree();
  const shown = shownOrder(read);
  const options = useMemo<TableOptions>(
    () => ({
      columns,
      order: shown ?? order,
      unit: unit === NO_UNIT ? null : unit,
      places: naming.places,
      meter: { id: used.id, range: used.range },
      meters: meters.map(({ id, name, range }) => ({ id, name, range })),
      runs: new Map(upstreamFirst.map(({ id, name }) => [name.toLowerCase(), id])),
    }),
    [columns, shown, order, unit, naming.places, used, meters, upstreamFirst],
  );
  const outcomes = useOutcomes(shop.id, table, options);
  const adopt = useAdopt();
  const [whyNot, setWhyNot] = useState<string | null>(null);
  const importGood = (rows: readonly RowOutcome[]) => {
    const readings = rows.flatMap((row) => (row.kind === 'good' ? [row.reading] : []));
    const points = naming.pointsOf(new Set(readings.map(({ testPoint }) => testPoint)));
    const isMeterNew = !instruments.some(({ id }) => id === used.id);
    const added = [
      ...(isMeterNew ? [{ kind: 'instruments', record: used } as const] : []),
      ...points.map((record) => ({ kind: 'testPoints', record }) as const),
      ...readings.map((record) => ({ kind: 'readings', record }) as const),
    ];
    const why = adopt(() => apply(`import ${fileName}`, { ...NO_DIFF, added }));
    setWhyNot(why);
    if (why !== null) return;
    toast(`Imported ${readings.length === 1 ? '1 reading' : `${readings.length} readings`}`, {
      action: undoAction(),
    });
    onDone();
  };
  const lacksUnit = columns.some((column) => column.field === 'value' && column.unit === null);
  return (
    <div className="mt-4 max-w-4xl space-y-5">
      <p>
        {fileName}:{' '}
        {table.rows.length === 1 ? '1 row' : `${table.rows.length.toLocaleString('en')} rows`},
        separated by {DELIMITER_NAMES[table.delimiter] ?? 'commas'}
        {encoding !== 'utf-8' && `, in ${ENCODING_NAMES[encoding]}`}.
      </p>
      <ColumnTable table={table} columns={columns} fields={TABLE_FIELDS} onChange={setColumns} />
      <div className="grid max-w-lg gap-y-2 sm:grid-cols-[220px_1fr] sm:items-center">
        {hasOpenOrder(read) && (
          <>
            <span>
              Dates such as {textsOf(read, 'date').find((text) => /^\d{1,2}[/-]/.test(text))}
            </span>
            <span>
              <Segmented
                label="Order of dates"
                value={order}
                options={[
                  { value: 'month first', label: 'month first' },
                  { value: 'day first', label: 'day first' },
                ]}
                onChange={setOrder}
              />
            </span>
          </>
        )}
        {lacksUnit && (
          <>
            <span>Values without a unit are in</span>
            <Choice
              label="Values without a unit are in"
              value={unit}
              options={[
                { value: NO_UNIT, label: 'no unit known: refuse them' },
                ...UNIT_CHOICES.map((id) => ({
                  value: id,
                  label: id === 'one' ? 'a bare number, for percentages' : UNITS[id].symbol,
                })),
              ]}
              onChange={setUnit}
            />
          </>
        )}
        <span>Meter for rows that name none</span>
        <Choice
          label="Meter for rows that name none"
          value={used.id}
          options={meters.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={setMeter}
        />
        {naming.unknown.map((name) => (
          <PlaceChoice key={name} name={name} naming={naming} />
        ))}
      </div>
      {outcomes && (
        <OutcomeList
          table={table}
          outcomes={outcomes}
          names={naming.names}
          onImport={() => importGood(outcomes.rows)}
          onNothing={onDone}
        />
      )}
      {whyNot && (
        <p role="alert" className="text-starved-text">
          {whyNot}
        </p>
      )}
    </div>
  );
}

const LEAVE_OUT = 'leave out';
const NEW_POINT = 'new test point';

interface Naming {
  /** Names of the table that no test point has, in the order they come. */
  readonly unknown: readonly string[];
  readonly places: ReadonlyMap<string, PlaceOfTable | null>;
  /** What test points are called, by their ids, the new ones too. */
  readonly names: ReadonlyMap<string, string>;
  readonly known: readonly Place[];
  readonly chosen: Readonly<Record<string, string>>;
  readonly choose: (name: string, place: string) => void;
  /** Records of the test points that are used and not in the journal yet. */
  readonly pointsOf: (used: ReadonlySet<string>) => readonly TestPoint[];
}

/** The places the table names: those of the shop by their names, the others as they are chosen to be. */
function usePlaceNames(texts: readonly string[]): Naming {
  const known = usePlaces();
  const testPoints = useJournal((journal) => journal.testPoints);
  const [chosen, setChosen] = useState<Readonly<Record<string, string>>>({});
  const [made, setMade] = useState<Readonly<Record<string, TestPoint>>>({});
  const named = [...new Map(texts.map((text) => [text.toLowerCase(), text])).values()];
  const isKnown = (name: string) =>
    known.some((place) => place.name.toLowerCase() === name.toLowerCase());
  const unknown = named.filter((name) => !isKnown(name)).slice(0, 30);
  const unknownKey = unknown.join('\n');
  const places = useMemo(() => {
    const placeOf = ({ drop, point }: Place): PlaceOfTable => ({
      testPoint: point.id,
      diameter: insideOf({ point, drop }) ?? DIAMETER_OF_NO_DUCT,
      gates: drop ? [...gatesOfDrop(drop)] : [],
    });
    const map = new Map<string, PlaceOfTable | null>(
      known.map((place) => [place.name.toLowerCase(), placeOf(place)]),
    );
    for (const name of unknownKey.split('\n')) {
      const choice = chosen[name];
      const place = known.find(({ id }) => id === choice);
      const own = made[name];
      if (place) map.set(name.toLowerCase(), placeOf(place));
      else if (choice === LEAVE_OUT) map.set(name.toLowerCase(), null);
      else if (choice === NEW_POINT && own) {
        map.set(name.toLowerCase(), {
          testPoint: own.id,
          diameter: DIAMETER_OF_NO_DUCT,
          gates: [],
        });
      }
    }
    return map;
  }, [known, chosen, made, unknownKey]);
  return {
    unknown,
    places,
    known,
    chosen,
    names: new Map([
      ...known.map(({ point, name }): [string, string] => [point.id, name]),
      ...Object.values(made).map(({ id, name }): [string, string] => [id, name]),
    ]),
    choose: (name, place) => {
      setChosen((before) => ({ ...before, [name]: place }));
      if (place !== NEW_POINT || made[name]) return;
      const point = recordWith('testPoints', {
        id: nanoid(10),
        name: name || 'Unnamed',
        at: SOMEWHERE,
      });
      setMade((before) => ({ ...before, [name]: point }));
    },
    pointsOf: (used) =>
      [...known.map(({ point }) => point), ...Object.values(made)].filter(
        ({ id }) => used.has(id) && !testPoints.some((own) => own.id === id),
      ),
  };
}

/** What a name of the table that the shop does not have stands for. */
function PlaceChoice({ name, naming }: { readonly name: string; readonly naming: Naming }) {
  const label = name === '' ? 'Test point of rows that name none' : `“${name}” is`;
  return (
    <>
      <span className="min-w-0 truncate">{label}</span>
      <Choice
        label={label}
        value={naming.chosen[name] ?? ''}
        options={[
          { value: '', label: 'not known: refuse its rows' },
          { value: LEAVE_OUT, label: 'left out' },
          { value: NEW_POINT, label: 'a new test point' },
          ...naming.known.map(({ id, name: label }) => ({ value: id, label })),
        ]}
        onChange={(place) => naming.choose(name, place)}
      />
    </>
  );
}
