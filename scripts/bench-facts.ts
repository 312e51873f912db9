// npm run bench:facts: what shops measured beside what the model says of the same shop, built from the
// library alone. With --json one line of JSON and nothing else.
import { type ShopFact, shopFacts } from '../core/reference/shop-facts';

const facts = shopFacts();

if (process.argv.includes('--json')) {
  const rows = facts.map(({ fact, low, high, model }) => ({ fact, low, high, model }));
  console.log(JSON.stringify({ rows }));
} else {
  const write = (value: number, unit: ShopFact['unit']) =>
    `${unit === '%' && value > 0 ? '+' : ''}${value.toFixed(unit === '%' ? 1 : 0)}`;
  const widest = Math.max(...facts.map(({ fact }) => fact.length));
  for (const { fact, unit, low, high, model } of facts) {
    const isIn = model >= low && model <= high;
    const range = `${write(low, unit)} to ${write(high, unit)} ${unit}`;
    console.log(
      `${fact.padEnd(widest)}  measured ${range.padEnd(18)}  model ${write(model, unit).padStart(6)}${isIn ? '' : '  OUT OF RANGE'}`,
    );
  }
}
