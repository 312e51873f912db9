'use client';

import { ChevronDown, ChevronRight } from 'lucide-react';
import type { ReactNode } from 'react';
import { choosePart, useChoices } from '@/storage/choices';
import { useSession } from '@/storage/session';

interface Props {
  /** Names it among the shop's parts, of which one is open. */
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly isStrong?: boolean;
  /** Told when it opens, besides its being the open part. */
  readonly onOpen?: () => void;
  readonly children: ReactNode;
}

/** A shut line out of sight is not drawn: a long list costs no more than what of it is seen. */
const ASIDE = '[content-visibility:auto] [contain-intrinsic-height:auto_29px]';

/** A part of the shop in a line, what it is at the right, opening to its fields. */
export function OpeningLine({ id, name, about, isStrong = false, onOpen, children }: Props) {
  // Not from the solved shop: a line is drawn anew only for what it shows.
  const shop = useSession((session) => (session.status === 'open' ? session.id : ''));
  const isOpen = useChoices((choices) => choices.parts[shop]) === id;
  const Mark = isOpen ? ChevronDown : ChevronRight;
  return (
    <div className={`border-rule border-b ${isOpen ? 'bg-selection' : ASIDE}`}>
      <button
        type="button"
        aria-expanded={isOpen}
        onClick={() => {
          choosePart(shop, isOpen ? '' : id);
          if (!isOpen) onOpen?.();
        }}
        className="flex min-h-11 w-full items-center gap-1 px-2 text-left hover:bg-selection md:min-h-7"
      >
        <Mark size={14} aria-hidden className="shrink-0 text-quiet" />
        <span className={`shrink-0 ${isStrong ? 'font-semibold' : ''}`}>{name}</span>
        <span className="ml-auto truncate pl-3 text-quiet">{about}</span>
      </button>
      {isOpen && <div className="space-y-1 px-3 pt-1 pb-3">{children}</div>}
    </div>
  );
}
