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
  // By their names: what one does is looked up when it is chosen, and may change with every edit.
  const shown = JSON.stringify(commands.map(({ name, keys }) => ({ name, keys })));
  useEffect(() => {
    const own: readonly Omit<ViewCommand, 'run'>[] = JSON.parse(shown);
    useViewCommands.setState({
      commands: own.map((command) => ({
        ...command,
        run: () => latest.current.find(({ name }) => name === command.name)?.run(),
      })),
    });
    return () => useViewCommands.setState({ commands: [] });
  }, [shown]);
}
