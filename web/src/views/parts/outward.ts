import { isStraight } from '@frank-gauge/core/catalogue';
import type { DuctTree, Run } from '@frank-gauge/core/design';

/** Runs as the blower sees them: from its inlet outward, each followed by what flows into it. */
export function outward(tree: DuctTree): { readonly run: Run; readonly depth: number }[] {
  const listed: { run: Run; depth: number }[] = [];
  const list = (node: string, depth: number) => {
    // A lone run or the straight one goes on in line; branches step in.
    const meeting = tree.into.get(node) ?? [];
    const branches = meeting.filter((run) => !isStraight(run.joins));
    const straight = meeting.filter((run) => isStraight(run.joins));
    for (const run of branches) {
      listed.push({ run, depth: meeting.length > 1 ? depth + 1 : depth });
      list(run.from, meeting.length > 1 ? depth + 1 : depth);
    }
    for (const run of straight) {
      listed.push({ run, depth });
      list(run.from, depth);
    }
  };
  list(tree.inlet.id, 0);
  return listed;
}
