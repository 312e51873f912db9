// A machine of a hall of 60 drawn drops dragged across the plan: the browser's own times between frames
// while it moves, beside the same page at rest.
import { drawnShop } from '../../core/reference/sample-shops';
import type { Bench } from './bench';
import { type Browsing, importAs } from './browsing';

const DROPS = Number(process.env.FRANK_GAUGE_DROPS ?? 60);
const MOVES = 150;
/** A frame at 60 Hz, ms. */
const FRAME = 1000 / 60;

/** Notes the browser's own time of every frame until `stopFrames` is called. */
const RECORD = `{
  const frames = [];
  let isOver = false;
  const tick = (now) => {
    frames.push(now);
    if (!isOver) requestAnimationFrame(tick);
  };
  requestAnimationFrame(tick);
  window.stopFrames = () => {
    isOver = true;
    return frames.slice(1).map((now, i) => now - frames[i]);
  };
}`;

export async function benchDrag({ page, address }: Browsing): Promise<Bench> {
  const shop = drawnShop(DROPS);
  shop.shop.name = 'Hall';
  for (const run of shop.ducts.runs) if (run.gate) run.gate.closedGap = 0.003;
  await importAs(page, address, 'Hall', JSON.stringify(shop));
  await page.getByRole('link', { name: /Hall/ }).click();
  await page.waitForURL(/\/shop\//);
  await page.goto(page.url().replace(/\/[a-z]+$/, '/floor'));
  const machine = page
    .getByRole('group', { name: 'Plan of the shop' })
    .getByRole('button', { name: /^Table saw;/ });
  await machine.waitFor();
  await page.waitForTimeout(3000);
  // From near enough that a machine is larger than its gate's mark; all 60 stay in the drawing.
  const far = await machine.boundingBox();
  if (!far) throw new Error('no machine');
  await page.mouse.move(far.x + far.width / 2, far.y + far.height / 2);
  for (let i = 0; i < 6; i++) await page.mouse.wheel(0, -200);
  await page.waitForTimeout(500);
  const box = await machine.boundingBox();
  if (!box) throw new Error('no machine');
  const [x, y] = [box.x + box.width * 0.75, box.y + box.height / 2];

  /** Times between frames while `act` goes on, ms. */
  const framesOf = async (act: () => Promise<void>): Promise<number[]> => {
    await page.evaluate(RECORD);
    await act();
    return page.evaluate<number[]>('window.stopFrames()');
  };
  const still = await framesOf(() => page.waitForTimeout(2500));
  await page.mouse.move(x, y);
  await page.mouse.down();
  const moving = await framesOf(async () => {
    for (let i = 0; i < MOVES; i++) {
      const turn = (i / MOVES) * Math.PI;
      await page.mouse.move(x + 40 * Math.cos(turn) - 40, y + 60 * Math.sin(turn));
    }
  });
  await page.waitForTimeout(500);
  const after = await machine.boundingBox();
  const went = after ? Math.hypot(after.x - box.x, after.y - box.y) : 0;
  await page.mouse.up();
  const at = (times: readonly number[], share: number) =>
    times.toSorted((a, b) => a - b)[Math.floor(share * (times.length - 1))] ?? 0;
  const late = (times: readonly number[]) =>
    times.filter((time) => time > 1.5 * FRAME).length / times.length;
  const lines = [`drag at ${DROPS} drops, ${shop.ducts.runs.length} runs, ${MOVES} moves`];
  for (const [name, times] of [
    ['at rest', still],
    ['dragging', moving],
  ] as const) {
    lines.push(
      `  ${name.padEnd(9)} ${times.length} frames; between frames: median ${at(times, 0.5).toFixed(1)} ms, 95 % ${at(times, 0.95).toFixed(1)} ms, longest ${at(times, 1).toFixed(1)} ms; later than a frame and a half: ${(100 * late(times)).toFixed(0)} %`,
    );
  }
  lines.push(
    `  median of dragging over at rest: ${(at(moving, 0.5) / at(still, 0.5)).toFixed(2)}`,
    `  it went ${went.toFixed(0)} px`,
  );
  return { lines, figures: { drag: { lateShare: late(moving), restLateShare: late(still) } } };
}
