import { afterEach, expect, it, vi } from 'vitest';
import { saveFile } from './save-file';

afterEach(() => vi.unstubAllGlobals());

it('a file is handed over under its name, and let go of once the browser has had the time to take it', async () => {
  vi.useFakeTimers();
  const link = { href: '', download: '', click: vi.fn() };
  const createElement = vi.fn(() => link);
  vi.stubGlobal('document', { createElement });
  const blobs: Blob[] = [];
  vi.spyOn(URL, 'createObjectURL').mockImplementation((blob) => {
    blobs.push(blob as Blob);
    return 'blob:7';
  });
  const revoke = vi.spyOn(URL, 'revokeObjectURL').mockImplementation(() => {});
  saveFile('plan.svg', '<svg/>', 'image/svg+xml');
  expect(createElement).toHaveBeenCalledWith('a');
  expect(link).toMatchObject({ href: 'blob:7', download: 'plan.svg' });
  expect(link.click).toHaveBeenCalledOnce();
  expect(revoke).not.toHaveBeenCalled();
  vi.runAllTimers();
  expect(revoke).toHaveBeenCalledExactlyOnceWith('blob:7');
  vi.useRealTimers();
  expect(blobs[0]?.type).toBe('image/svg+xml');
  expect(await blobs[0]?.text()).toBe('<svg/>');
  saveFile('shop.zip', Uint8Array.of(1, 2, 3), 'application/zip');
  expect([...new Uint8Array((await blobs[1]?.arrayBuffer()) ?? [])]).toEqual([1, 2, 3]);
});
