'use client';

import dynamic from 'next/dynamic';
import { memo } from 'react';
import { Button } from '@/ui/button';
import { Segmented } from '@/ui/segmented';
import { chooseTool, useDrawing } from './ducts/drawing-state';
import { LOOKS, lookAt, useFloorLook } from './floor-look';
import { PlanPicture } from './plan-picture';
import { letGo } from './selection';
import { SheetPicture } from './sheet-picture';

const SpacePicture = dynamic(
  () => import('./space-picture').then((module) => module.SpacePicture),
  {
    ssr: false,
    loading: () => <p className="p-4 text-quiet">Loading the 3D view…</p>,
  },
);

/** The shop as plan, from a side, in isometric or in 3D, and the tool that draws ducts. */
export const FloorPicture = memo(function FloorPicture() {
  const look = useFloorLook();
  const tool = useDrawing((drawing) => drawing.tool);
  return (
    <>
      <div className="flex flex-wrap items-center gap-2 pb-1">
        <Segmented label="View of the shop" value={look} options={LOOKS} onChange={lookAt} />
        {look === 'plan' && (
          <span className="ml-auto flex gap-1.5">
            <Button
              aria-pressed={tool === 'take'}
              look={tool === 'take' ? 'solid' : 'plain'}
              onClick={() => {
                letGo();
                chooseTool(tool === 'take' ? 'move' : 'take');
              }}
            >
              {tool === 'take' ? 'Done selecting' : 'Select several'}
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
