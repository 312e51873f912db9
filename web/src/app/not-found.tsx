import Link from 'next/link';

export default function NotFound() {
  return (
    <div className="m-8 max-w-prose">
      <h1 className="text-2xl">No such page</h1>
      <Link href="/" className="mt-4 inline-block border border-ink px-3 py-1 font-semibold">
        All shops
      </Link>
    </div>
  );
}
