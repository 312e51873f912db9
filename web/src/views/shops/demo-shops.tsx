import Link from 'next/link';
import type { DemoId } from '@/storage/shop-list';

const DEMOS: readonly { readonly id: DemoId; readonly name: string; readonly about: string }[] = [
  {
    id: 'heron-slip',
    name: 'Heron Slip',
    about: 'a skiff shop with a cyclone and five drops; a leak opened somewhere in fall',
  },
  {
    id: 'wren-cellar',
    name: 'Wren Cellar',
    about:
      'a luthier’s cellar in metric units: one stage on 100 mm pipe, and the question whether the air should go out of the window',
  },
  {
    id: 'tern-school',
    name: 'Tern School',
    about:
      'a school’s wood shop: 5 hp, ten drops, several gates open at once, and joints that nobody had taped at first',
  },
];

/** The invented shops that come with the program. */
export function DemoShops() {
  return (
    <section aria-label="Demo shops" className="mt-6">
      <h2 className="text-[17px]">Demo shops</h2>
      <ul className="text-[15px]">
        {DEMOS.map(({ id, name, about }) => (
          <li key={id}>
            <Link
              href={`/demo?shop=${id}`}
              className="inline-block min-h-11 content-center underline md:min-h-7"
            >
              {name}
            </Link>
            <span className="text-quiet">, {about}</span>
          </li>
        ))}
      </ul>
      <p className="text-[14px] text-quiet">All of them invented, each with a year of readings.</p>
    </section>
  );
}
