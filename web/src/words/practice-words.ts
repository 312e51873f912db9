import {
  type Debrief,
  type Grade,
  isWritten,
  type Level,
  type MeterFace,
  ofChance,
  type ToldBy,
  type WrittenId,
} from '@frank-gauge/core/practice';

/** What a practice shop written by hand is called, and what its owner complains of. */
export const WRITTEN_WORDS: Readonly<
  Record<WrittenId, { readonly name: string; readonly complaint: string }>
> = {
  garage: {
    name: 'Two-machine garage',
    complaint: 'The planer used to clear its chips. Now it leaves them on the bed.',
  },
  'lean-to': {
    name: 'Lean-to',
    complaint: 'Everything is a little weak, whichever machine runs.',
  },
  'boat-shed': {
    name: 'Boat shed',
    complaint: 'It gets worse by the month, and nobody changed anything.',
  },
  luthier: {
    name: 'Luthier’s room',
    complaint: 'The drum sander throws dust since a sanding belt tore.',
  },
  'chair-shop': {
    name: 'Chair shop',
    complaint: 'The new owner wants to know whether anything is wrong at all.',
  },
  cellar: {
    name: 'Cellar',
    complaint: 'The readings are poor, but the floor is clean.',
  },
  carport: {
    name: 'Closed-in carport',
    complaint: 'After the ducts were moved over the winter, one corner is dusty.',
  },
  cabinetmaker: {
    name: 'Cabinetmaker’s shop',
    complaint: 'Since the bin overflowed last week every machine is weak.',
  },
  turnery: {
    name: 'Turnery',
    complaint: 'Somebody packed a gate’s groove with chips, and nobody says which.',
  },
  joinery: {
    name: 'Joinery',
    complaint: 'A pallet was lifted past the ducts. One of them took a knock.',
  },
  'co-op': {
    name: 'Wood co-op',
    complaint: 'Forty members, and two things are said to be wrong at once.',
  },
  school: {
    name: 'School shop',
    complaint: 'The last class ran ducts everywhere and had no tape left.',
  },
};

export const LEVEL_WORDS: Readonly<
  Record<Level, { readonly name: string; readonly about: string }>
> = {
  first: { name: 'First', about: 'Two to four machines, one plain fault or none.' },
  usual: {
    name: 'Usual',
    about: 'Five to seven machines. Someone may have pressed the meter’s buttons.',
  },
  hard: {
    name: 'Hard',
    about: 'Eight machines and more, small faults, and sometimes two at once.',
  },
};

/** What a practice shop is called; one of chance by its level and number: “Hard shop 17”. */
export function nameOfPractice(id: string): string {
  if (isWritten(id)) return WRITTEN_WORDS[id].name;
  const drawn = ofChance(id);
  return drawn ? `${LEVEL_WORDS[drawn.level].name} shop ${drawn.seed}` : 'Practice';
}

export const HOLD_WORDS: Readonly<Record<MeterFace['hold'], string>> = {
  live: 'LIVE',
  average: 'AVG',
  maximum: 'MAX',
};

const GRADE_WORDS: Readonly<Record<Grade, string>> = {
  right: '● Right.',
  'other kind': '◐ The right place, but another kind of fault.',
  'next to it': '◐ The right kind of fault, in a neighboring run.',
  wrong: '▼ No.',
};

export const gradeWords = (grade: Grade): string => GRADE_WORDS[grade];

/** A debrief in one sentence: the score, and what it is made of. */
export function scoreSentence(debrief: Debrief): string {
  const { score, grades, minutes, wayMinutes, isWayFound } = debrief;
  const found = grades.every((grade) => grade === 'right')
    ? 'You found it.'
    : grades.some((grade) => grade !== 'wrong')
      ? 'You came close.'
      : 'You did not find it.';
  const own = minutesWords(wayMinutes);
  const other = !isWayFound
    ? `The program’s own way had not found it after ${own}.`
    : minutes <= wayMinutes
      ? `The program’s own way takes ${own}.`
      : `${own} would have been enough.`;
  if (debrief.told.length === 0) {
    return `${score} of 100. ${found} Without a reading that counts it was a guess. ${other}`;
  }
  return `${score} of 100. ${found} You took ${minutesWords(minutes)}. ${other}`;
}

export const minutesWords = (minutes: number): string =>
  `${minutes % 1 === 0 ? minutes : minutes.toFixed(1)}\u00a0min`;

/** What a reading told, in a few words. */
export function toldWords({ before, after, bits, slip }: ToldBy): string {
  if (slip === 'unit')
    return 'Not weighed: the meter was on another unit than the one you wrote down.';
  if (slip === 'hold') return 'Not weighed: the meter held the highest value, not the average.';
  const change = after - before;
  if (change > 0.25) return 'It told most of it.';
  if (change > 0.05) return 'It pointed the right way.';
  if (change < -0.05) return 'It pointed elsewhere, by chance or because of another fault.';
  return bits > 0.3 ? 'It ruled out other places.' : 'It told little.';
}

/** A name at the beginning of a sentence. */
export const sentenceCase = (name: string): string => name.charAt(0).toUpperCase() + name.slice(1);
