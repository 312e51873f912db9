'use client';

import { Serwist } from '@serwist/window';
import { create } from 'zustand';

/** Chromium's offer to install the app, which a page may keep until the user asks for it. */
interface InstallOffer extends Event {
  prompt(): Promise<void>;
}

/** How the program itself is kept on this device. */
export interface Program {
  readonly kept: /** Nothing is known yet, or it is just being fetched. */
    | 'fetching'
    /** It runs without its server from now on. */
    | 'kept'
    /** This browser, or this window of it, keeps no programs. */
    | 'unable';
  readonly update:
    | 'none'
    /** A newer build is kept as well; it waits until the user asks for it. */
    | 'waiting'
    /** Another tab asked for the newer build: scripts this page has not loaded yet are gone. */
    | 'taken elsewhere';
  /** The browser's offer to install the app; null: none was made, or it was used. */
  readonly offer: InstallOffer | null;
}

export const useProgram = create<Program>(() => ({
  kept: 'fetching',
  update: 'none',
  offer: null,
}));

/** How often a page that stays open looks for a newer build, ms. */
const LOOK_EVERY = 60 * 60 * 1000;

let worker: Serwist | null = null;
let isAsked = false;

/** Keeps the program on this device, once in a page's life; what comes of it is in `useProgram`. */
export async function keepProgram(): Promise<void> {
  if (worker || process.env.NODE_ENV !== 'production') return;
  const { serviceWorker } = navigator;
  if (!serviceWorker) {
    useProgram.setState({ kept: 'unable' });
    return;
  }
  // Kept by an earlier visit; else the first one to come is no update.
  let isKept = serviceWorker.controller !== null;
  if (isKept) useProgram.setState({ kept: 'kept' });
  serviceWorker.addEventListener('controllerchange', () => {
    if (isAsked) window.location.reload();
    else if (isKept) useProgram.setState({ update: 'taken elsewhere' });
    isKept = true;
    useProgram.setState({ kept: 'kept' });
  });
  worker = new Serwist('/service-worker.js');
  worker.addEventListener('waiting', () => useProgram.setState({ update: 'waiting' }));
  const registration = await worker.register().catch(() => null);
  if (!registration) {
    if (!isKept) useProgram.setState({ kept: 'unable' });
    return;
  }
  // Without its server there is nothing newer to be found.
  setInterval(() => void registration.update().catch(() => undefined), LOOK_EVERY);
}

/** Has the newer build take over, and loads the page anew with it. */
export function applyUpdate(): void {
  if (useProgram.getState().update === 'taken elsewhere') {
    window.location.reload();
    return;
  }
  isAsked = true;
  worker?.messageSkipWaiting();
}

/** Keeps the browser's offer to install the app for a button of ours. */
export function keepInstallOffer(): void {
  window.addEventListener('beforeinstallprompt', (event) => {
    event.preventDefault();
    useProgram.setState({ offer: event as InstallOffer });
  });
  window.addEventListener('appinstalled', () => useProgram.setState({ offer: null }));
}

export async function install(): Promise<void> {
  const { offer } = useProgram.getState();
  // An offer is good for one asking.
  useProgram.setState({ offer: null });
  await offer?.prompt();
}
