'use client';

import { Maximize, Minus, Plus } from 'lucide-react';
import { Button } from '@/ui/button';
import type { Zoom } from '@/ui/use-zoom';

/** Nearer, farther, and the whole again. */
export function ZoomButtons({ zoom }: { readonly zoom: Zoom }) {
  return (
    <div className="absolute bottom-0 left-0 flex">
      <Button look="quiet" className="px-2" aria-label="Nearer" onClick={zoom.nearer}>
        <Plus size={16} aria-hidden />
      </Button>
      <Button look="quiet" className="px-2" aria-label="Farther" onClick={zoom.farther}>
        <Minus size={16} aria-hidden />
      </Button>
      <Button look="quiet" className="px-2" aria-label="Show the whole" onClick={zoom.fit}>
        <Maximize size={16} aria-hidden />
      </Button>
    </div>
  );
}
