'use client';

import dynamic from 'next/dynamic';
import { memo } from 'react';
import { Button } from '@/ui/button';
import { Segmented } from '@/ui/segmented';
import { usePreload } from '@/ui/use-preload';
import { chooseTool, useDrawing } from './ducts/drawing-state';
import { LOOKS, lookAt, useFloorLook } from './floor-look';
import { PlanPicture } from './plan-picture';
import { letGo } from './selection';

const SpacePicture = dynamic(
  () => import('./space-picture').then((module) => module.SpacePicture),
  {
    ssr: false,
    loading: () => <p className="p-4 text-quiet">Loading the 3D view…</p>,
  },
);

const loadSheet = () => import('./sheet-picture').then((module) => module.SheetPicture);
const SheetPicture = dynamic(loadSheet, {
  ssr: false,
  loading: () => <p className="p-4 text-quiet">Loading the drawing…</p>,
});

/** The shop as plan, from a side, in isometric or in 3D, and the tool that draws ducts. */
export const FloorPicture = memo(function FloorPicture() {
  usePreload(loadSheet);
  const look = useFloorLook();
  const tool = useDrawing((drawing) => drawing.tool);
  return (
    <>
      <div className="flex flex-wrap items-center gap-2 pb-1">
        <Segmented label="View of the shop" value={look} options={LOOKS} onChange={lookAt} />
        {look === 'plan' && (
          <span className="ml-auto flex gap-1.5">
            <Button
              aria-pressed={tool === 'select'}
              look={tool === 'select' ? 'solid' : 'plain'}
              onClick={() => {
                letGo();
                chooseTool(tool === 'select' ? 'move' : 'select');
              }}
            >
              {tool === 'select' ? 'Done selecting' : 'Select several'}
            </Button>
            <Button
              aria-pressed={tool === 'draw'}
              look={tool === 'draw' ? 'solid' : 'plain'}
              onClick={() => chooseTool(tool === 'draw' ? 'move' : 'draw')}
            >
              {tool === 'draw' ? 'Stop drawing' : 'Draw a duct'}
            </Button>
          </span>
        )}
      </div>
      {look === 'plan' ? (
        <PlanPicture />
      ) : look === 'space' ? (
        <SpacePicture />
      ) : (
        <SheetPicture view={look} />
      )}
    </>
  );
});
