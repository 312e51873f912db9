import { describe, expect, it } from 'vitest';
import { exportReminder } from './export-reminder';

const NOW = new Date('2026-06-30T12:00:00Z');
const exported = (at: string, revision: number) => ({ at: `${at}T12:00:00Z`, revision });

describe('the reminder to export a shop', () => {
  it('comes once much was done of which there is no file', () => {
    expect(exportReminder({ revision: 19 }, NOW)).toBeNull();
    expect(exportReminder({ revision: 20 }, NOW)).toContain('Never exported');
  });

  it('comes when a shop changed since it was exported long ago', () => {
    const may = exported('2026-05-16', 40);
    expect(exportReminder({ revision: 41, exported: may }, NOW)).toBe(
      'Last exported about 2 months ago, and changed since.',
    );
    expect(exportReminder({ revision: 40, exported: may }, NOW)).toBeNull();
    const june = exported('2026-06-02', 40);
    expect(exportReminder({ revision: 900, exported: june }, NOW)).toBeNull();
  });
});
