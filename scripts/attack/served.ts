import { build, freePort, isBuilt, startApp } from '../machine.mjs';

/** Does something with the built app, served on a port of its own; builds it if need be. */
export async function onServer<T>(act: (address: string) => Promise<T>): Promise<T> {
  if (!isBuilt() && !build({ isQuiet: true })) throw new Error('the app could not be built');
  const { child, address } = await startApp(await freePort(4920));
  try {
    return await act(address);
  } finally {
    child.kill();
  }
}
