'use client';

import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  arrayMove,
  horizontalListSortingStrategy,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { SEPARATORS } from '@frank-gauge/core/collector';
import { type ChainPart, chainOf, reorderChain } from '@frank-gauge/core/design';
import { GripVertical } from 'lucide-react';
import { toast } from 'sonner';
import { exhaustWord } from '@/words/part-words';
import { useCollector } from '../../parts/edited-collector';

const REFUSALS = {
  'filter ahead of the separator':
    'A filter ahead of the separator would catch all the chips, so it stays after the separator.',
  'nothing behind the filter':
    'Air that leaves the room does not return to the blower, so the exhaust stays last.',
} as const;

/** The chain as the air meets it; drag a part, or move it with space and the arrow keys. */
export function ChainStrip() {
  const { parts, editAssembly } = useCollector();
  const chain = chainOf(parts);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const words: Record<ChainPart, string> = {
    separator: `bin, ${(SEPARATORS[parts.separator.kind].name.split(' in ')[0] ?? '').toLowerCase()}`,
    blower: 'blower',
    filter: exhaustWord(parts.exhaust.kind).toLowerCase(),
  };
  const drop = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const place = (part: unknown) => chain.indexOf(part as ChainPart);
    const reordered = reorderChain(parts, arrayMove(chain, place(active.id), place(over.id)));
    if (!reordered.ok) {
      toast(REFUSALS[reordered.why]);
      return;
    }
    editAssembly('order of parts', (own) => {
      own.order = reordered.order;
    });
  };
  return (
    <DndContext
      id="chain"
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={drop}
      accessibility={{
        screenReaderInstructions: {
          draggable:
            'Press Space to pick up the part, the arrow keys to move it along the air path, and Space to put it down.',
        },
      }}
    >
      <SortableContext items={chain} strategy={horizontalListSortingStrategy}>
        <ol
          aria-label="Parts in the order the air meets them"
          className="flex flex-wrap items-center gap-1"
        >
          <li className="text-[14px] text-quiet">air</li>
          {chain.map((part) => (
            <ChainItem key={part} part={part} word={words[part]} />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

function ChainItem({ part, word }: { readonly part: ChainPart; readonly word: string }) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: part,
  });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`flex items-center gap-1 ${isDragging ? 'relative z-10' : ''}`}
    >
      <span aria-hidden className="text-quiet">
        →
      </span>
      <button
        type="button"
        {...attributes}
        {...listeners}
        className={`flex min-h-11 touch-none items-center gap-1 border border-ink bg-paper px-1.5 md:min-h-7 ${isDragging ? 'cursor-grabbing shadow-float' : 'cursor-grab'}`}
      >
        <GripVertical size={13} aria-hidden className="text-quiet" />
        {word}
      </button>
    </li>
  );
}
