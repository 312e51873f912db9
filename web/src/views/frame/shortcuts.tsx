'use client';

import { useEffect, useState } from 'react';
import { Sheet } from '@/ui/sheet';

const KEYS = [
  ['Ctrl+K', 'all commands by name'],
  ['Ctrl+Z', 'undo'],
  ['Ctrl+Shift+Z', 'do again'],
  ['Tab, Shift+Tab', 'next and previous field'],
  ['↑ ↓', 'next and previous drop, in the drop table'],
  ['D', 'draw a duct, on the Floor; Backspace takes a point back, Enter ends it'],
  ['PageUp, PageDown', 'a bend of a duct higher, lower'],
  ['arrows, R', 'move and turn what stands on the Floor; with Alt its ducts stay'],
  ['Shift+Enter, Shift+click', 'take one more together; Ctrl+A all, Esc none'],
  ['Ctrl+D, Delete', 'copy, take out what is taken together'],
  ['Enter', 'details of a run, in the list of runs'],
  ['Esc', 'put a field back; close what is open'],
  ['?', 'this list'],
] as const;

export function Shortcuts() {
  const [isOpen, setOpen] = useState(false);
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const isInField =
        event.target instanceof HTMLElement && event.target.matches('input, textarea, select');
      if (event.key === '?' && !isInField) setOpen(true);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
  return (
    <Sheet title="Keys" about="Everything works by keyboard." open={isOpen} onOpenChange={setOpen}>
      <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-1.5">
        {KEYS.map(([keys, does]) => (
          <div key={keys} className="contents">
            <dt className="font-semibold">{keys}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}
