import { type Shop, VERSION } from '@frank-gauge/core/design';
import {
  emptyJournal,
  type Fault,
  type Journal,
  LARGEST_FILE,
  type Photo,
  type Renewal,
  readJournalLines,
  readShopFile,
  recordCount,
  writeJournalLines,
} from '@frank-gauge/core/journal';
import {
  strFromU8,
  strToU8,
  Unzip,
  UnzipInflate,
  UnzipPassThrough,
  type Zippable,
  zipSync,
} from 'fflate';

/** The picture of a photo, by the photo's id. */
export interface PhotoFile {
  readonly id: string;
  readonly bytes: Uint8Array;
}

/** All of a shop: what goes into a file and comes out of it. */
export interface Bundle {
  readonly shop: Shop;
  readonly journal: Journal;
  readonly photos: readonly PhotoFile[];
}

/** How much of a file that ends early is there. */
export interface CutOff {
  readonly whole: number;
  /** Records its journal says it has; 0: it does not even say that. */
  readonly promised: number;
  /** Pictures of its whole records that are missing. */
  readonly missingPictures: number;
}

export type ReadBundle =
  | ({ readonly kind: 'whole'; readonly renewed: readonly Renewal[] } & Bundle)
  /** The file ends early: what is in it is whole, and this is how much there was to be. */
  | ({ readonly kind: 'cut off'; readonly renewed: readonly Renewal[] } & Bundle & CutOff)
  | { readonly kind: 'refused'; readonly reason: string };

/** The most that may come out of a zip, bytes: a shop with all its pictures is less. */
export const LARGEST_ZIP = 500_000_000;
/** The most of a text in it, and of all of it, bytes. */
const LIMITS = { text: LARGEST_FILE, all: LARGEST_ZIP } as const;
type Limits = { readonly [K in keyof typeof LIMITS]: number };

const DESIGN = 'design.json';
const JOURNAL = 'journal.jsonl';
/** By its id first: two photos may have one name. */
const photoPath = ({ id, file }: Photo) => `photos/${id}/${file}`;

/** A shop as a zip of its design, its journal line by line, and its photos. */
export function writeZip({ shop, journal, photos }: Bundle): Uint8Array {
  const files: Zippable = {
    [DESIGN]: strToU8(`${JSON.stringify(shop, null, 2)}\n`),
    [JOURNAL]: strToU8([...writeJournalLines(journal, VERSION)].join('')),
  };
  const pathOf = new Map(journal.photos.map((photo) => [photo.id, photoPath(photo)]));
  for (const { id, bytes } of photos) {
    const path = pathOf.get(id);
    // Pictures are compressed as they are.
    if (path !== undefined) files[path] = [bytes, { level: 0 }];
  }
  return zipSync(files, { level: 6 });
}

const isZip = (bytes: Uint8Array) => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** Reads a shop from either form of its file, told apart by how it begins. */
export function readBundle(bytes: Uint8Array, limits: Limits = LIMITS): ReadBundle {
  if (isZip(bytes)) return readZip(bytes, limits);
  const read = readShopFile(new TextDecoder().decode(bytes));
  if (!read.ok) return refused(read.faults);
  const { shop, journal, renewed } = read;
  return { kind: 'whole', shop, journal, photos: [], renewed };
}

function refused(faults: readonly [Fault, ...Fault[]]): ReadBundle {
  const [{ path, message }] = faults;
  return refuse(path === '' ? message : `at ${path}, ${message}${andMore(faults)}`);
}

/** How many faults there are besides the one that is said. */
const andMore = (faults: readonly unknown[]) =>
  faults.length > 1 ? ` (and ${faults.length - 1} more)` : '';

const refuse = (reason: string): ReadBundle => ({ kind: 'refused', reason });

function readZip(bytes: Uint8Array, limits: Limits): ReadBundle {
  const unpacked = unpack(bytes, limits);
  if (unpacked === 'too large') {
    const [text, all] = [limits.text / 1e6, limits.all / 1e6];
    return refuse(
      `what it unpacks to is larger than any shop; the most is ${text} MB of text and ${all} MB in all`,
    );
  }
  const design = unpacked.get(DESIGN);
  if (!design) return refuse(`it is a zip without ${DESIGN} in it`);
  if (!design.isWhole) return refuse(`it is cut off in the middle of its ${DESIGN}`);
  const read = readShopFile(strFromU8(design.bytes));
  if (!read.ok) return refused(read.faults);
  const { shop, renewed } = read;

  const file = unpacked.get(JOURNAL);
  const lines = linesOf(file, read.journal);
  if (lines.kind === 'refused') {
    const [{ line, message }] = lines.faults;
    return refuse(`in ${JOURNAL}, line ${line}: ${message}${andMore(lines.faults)}`);
  }
  const { journal } = lines;
  const photos = journal.photos.flatMap((photo) => {
    const picture = unpacked.get(photoPath(photo));
    return picture?.isWhole ? [{ id: photo.id, bytes: picture.bytes }] : [];
  });
  const made = { shop, journal, photos, renewed };
  const missingPictures = hasEnd(bytes) ? 0 : journal.photos.length - photos.length;
  if (lines.kind === 'whole' && missingPictures === 0) return { kind: 'whole', ...made };
  const { whole, promised } =
    lines.kind === 'whole' ? { whole: lines.records, promised: lines.records } : lines;
  return { kind: 'cut off', ...made, whole, promised, missingPictures };
}

/** The journal of a zip; that of its design, where it has no file of its own. */
function linesOf(file: Unpacked | undefined, ofDesign: Journal) {
  if (!file) return { kind: 'whole', journal: ofDesign, records: recordCount(ofDesign) } as const;
  const text = strFromU8(file.bytes);
  if (!file.isWhole && !text.includes('\n')) {
    return { kind: 'cut off', journal: emptyJournal(), whole: 0, promised: 0 } as const;
  }
  const lines = readJournalLines(text, VERSION);
  return lines.kind === 'whole' ? { ...lines, records: recordCount(lines.journal) } : lines;
}

/** A zip ends in a list of what is in it, which one that is cut off lacks. */
function hasEnd(bytes: Uint8Array): boolean {
  const END = [0x50, 0x4b, 0x05, 0x06];
  const from = Math.max(0, bytes.length - 66_000);
  for (let at = bytes.length - 22; at >= from; at--) {
    if (END.every((byte, i) => bytes[at + i] === byte)) return true;
  }
  return false;
}

interface Unpacked {
  readonly bytes: Uint8Array;
  /** It ended where it should. */
  readonly isWhole: boolean;
}

/** The files of a zip by their paths, as far as they go: one that is cut off has what came before. */
function unpack(bytes: Uint8Array, limits: Limits): ReadonlyMap<string, Unpacked> | 'too large' {
  const files = new Map<string, { chunks: Uint8Array[]; isWhole: boolean }>();
  let size = 0;
  const unzip = new Unzip((file) => {
    const { name } = file;
    if (name !== DESIGN && name !== JOURNAL && !name.startsWith('photos/')) return;
    const most = name.startsWith('photos/') ? limits.all : limits.text;
    const kept = { chunks: [] as Uint8Array[], isWhole: false };
    files.set(name, kept);
    let own = 0;
    file.ondata = (error, chunk, isLast) => {
      if (error) throw error;
      size += chunk.length;
      own += chunk.length;
      if (size > limits.all || own > most) throw new TooLarge();
      kept.chunks.push(chunk);
      kept.isWhole = isLast;
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  unzip.register(UnzipPassThrough);
  try {
    // In pieces, so that a small file that unpacks to a huge one is stopped on the way.
    for (let at = 0; at < bytes.length; at += PIECE) {
      unzip.push(bytes.subarray(at, at + PIECE), at + PIECE >= bytes.length);
    }
  } catch (error) {
    if (error instanceof TooLarge) return 'too large';
    // It is cut off, or damaged: what came before stands, and says whether it is whole.
  }
  return new Map(
    [...files].map(([name, { chunks, isWhole }]) => [name, { bytes: joined(chunks), isWhole }]),
  );
}

const PIECE = 65_536;
class TooLarge extends Error {}

function joined(chunks: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(chunks.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const chunk of chunks) {
    whole.set(chunk, at);
    at += chunk.length;
  }
  return whole;
}
