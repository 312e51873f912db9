'use client';

import { useEffect, useRef } from 'react';
import { create } from 'zustand';

/** Something a view can do, by name in the palette. */
export interface ViewCommand {
  readonly name: string;
  /** The key that does it without the palette. */
  readonly keys?: string;
  readonly run: () => void;
}

export const useViewCommands = create<{ readonly commands: readonly ViewCommand[] }>(() => ({
  commands: [],
}));

/** Puts what the view can do into the palette for as long as it is open. */
export function useCommandsOfView(commands: readonly ViewCommand[]): void {
  const latest = useRef(commands);
  useEffect(() => {
    latest.current = commands;
  });
  const names = commands.map(({ name, keys }) => `${name}\n${keys ?? ''}`).join('\n\n');
  useEffect(() => {
    // By their names: what one does is looked up when it is chosen, and may change with every edit.
    const own = names === '' ? [] : names.split('\n\n').map((line) => line.split('\n'));
    useViewCommands.setState({
      commands: own.map(([name = '', keys = '']) => ({
        name,
        ...(keys !== '' && { keys }),
        run: () => latest.current.find((command) => command.name === name)?.run(),
      })),
    });
    return () => useViewCommands.setState({ commands: [] });
  }, [names]);
}
