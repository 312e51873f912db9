import Link from 'next/link';
import type { DemoId } from '@/storage/shop-list';

/** A link is named for the kind of shop: the shop's own name belongs to the list of shops, once it is opened. */
const DEMOS: readonly {
  readonly id: DemoId;
  readonly kind: string;
  readonly name: string;
  readonly about: string;
}[] = [
  {
    id: 'heron-slip',
    kind: 'Skiff shop',
    name: 'Heron Slip',
    about: 'a cyclone and five drops; a leak opened somewhere in fall',
  },
  {
    id: 'wren-cellar',
    kind: 'Luthier’s cellar',
    name: 'Wren Cellar',
    about:
      'metric; one stage on 100 mm pipe, and the question whether the air should go out of the window',
  },
  {
    id: 'tern-school',
    kind: 'School wood shop',
    name: 'Tern School',
    about: '5 hp, ten drops, several gates open at once, and joints that nobody had taped at first',
  },
];

/** The invented shops that come with the program. */
export function DemoShops() {
  return (
    <section aria-label="Demo shops" className="mt-6">
      <h2 className="text-[17px]">Demo shops</h2>
      <ul className="text-[15px]">
        {DEMOS.map(({ id, kind, name, about }) => (
          <li key={id}>
            <Link
              href={`/demo?shop=${id}`}
              className="inline-block min-h-11 content-center underline md:min-h-7"
            >
              {kind}
            </Link>
            <span className="text-quiet">
              {' '}
              ({name}): {about}
            </span>
          </li>
        ))}
      </ul>
      <p className="text-[14px] text-quiet">All of them invented, each with a year of readings.</p>
    </section>
  );
}
