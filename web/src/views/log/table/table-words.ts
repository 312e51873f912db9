import type { CellFault, Encoding, TableField } from '@frank-gauge/core/spreadsheet';

/** What a column holds, as it is called in the list to choose from. */
export const FIELD_NAMES: Readonly<Record<TableField, string>> = {
  date: 'date',
  time: 'time of day',
  'test point': 'test point',
  value: 'a repeat',
  unit: 'unit',
  quantity: 'what is read',
  meter: 'meter',
  method: 'absolute or relative',
  spot: 'spot in the pipe',
  traverse: 'traverse',
  'inside diameter': 'inside diameter',
  hold: 'hold mode',
  'preset diameter': 'preset diameter',
  'gates open': 'gates open',
  note: 'note',
  'struck out': 'why it was struck out',
  'struck out on': 'when it was struck out',
  simulated: 'simulated',
  id: 'id',
};

export const ENCODING_NAMES: Readonly<Record<Encoding, string>> = {
  'utf-8': 'UTF-8',
  'utf-16le': 'UTF-16',
  'utf-16be': 'UTF-16',
  'windows-1252': 'Windows-1252',
};

export const DELIMITER_NAMES: Readonly<Record<string, string>> = {
  ',': 'commas',
  ';': 'semicolons',
  '\t': 'tabs',
  '|': 'bars',
};

/** What is wrong with a cell, as a sentence. */
export function faultSentence({ what }: CellFault): string {
  switch (what.kind) {
    case 'row ends early':
      return 'The row ends before its last column; the file may be cut off.';
    case 'no date':
      return 'There is no date.';
    case 'no value':
      return 'There is no value.';
    case 'no unit':
      return 'The value has no unit, and neither has its header.';
    case 'unknown date':
      return `“${what.text}” is not a date.`;
    case 'future':
      return `${what.text} is still to come.`;
    case 'unknown place':
      return what.text === ''
        ? 'There is no test point.'
        : `No test point is called “${what.text}”.`;
    case 'unknown gate':
      return `No gate is called “${what.text}”.`;
    case 'mixed units':
      return `“${what.text}” is a different quantity from the repeat before it.`;
    case 'impossible':
      return `“${what.text}” is more than any duct in a shop has; check the unit.`;
    case 'unknown word':
      return `“${what.text}” is not something this column can hold.`;
    case 'not read':
    case 'not a reading':
      return what.reason;
  }
}
