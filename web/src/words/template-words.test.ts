import { elbowGores, holeCircle, separatorLid, wrapTemplates } from '@frank-gauge/core/build';
import { describe, expect, it } from 'vitest';
import { templateFaultWords } from './template-words';

const inch = 0.0254;

describe('sizes that make no template', () => {
  it.each([
    [
      wrapTemplates({
        ...{ pipe: 24 * inch, drum: 22.5 * inch, wall: 0.001, offset: 0 },
        ...{ angle: Math.PI / 2, ends: 'outside' },
      }),
      'The pipe is larger than what it goes into. It can be at most 22½ in.',
    ],
    [
      separatorLid({ lid: 22 * inch, drum: 22.5 * inch, inlet: 0.11, outlet: 0.11 }),
      'so it falls in. Make it more than 22½ in.',
    ],
    [separatorLid({ lid: 0.6, drum: 0.57, inlet: 0.4, outlet: 0.4 }), 'or a larger drum'],
    [separatorLid({ lid: 0.6, drum: 0.57, inlet: 0.3, outlet: 0.31 }), 'two smaller elbows'],
    [holeCircle({ hole: 6 * inch, circle: 6 * inch, count: 6, small: 0.005 }), 'at least 6.5'],
    [holeCircle({ hole: 0.15, circle: 0.18, count: 60, small: 0.01 }), 'Use at most 40.'],
    [elbowGores({ pipe: 0.15, angle: Math.PI, radius: 0.2, pieces: 2 }), 'at least 3 pieces'],
    [
      elbowGores({ pipe: 6 * inch, angle: 1.5, radius: 2 * inch, pieces: 5 }),
      'has no length. Use a radius of more than 3 in.',
    ],
    [elbowGores({ pipe: 0, angle: 1.5, radius: 0.2, pieces: 5 }), 'larger than 0'],
  ])('are told with the number that would do: %#', (made, says) => {
    const words = made.ok ? 'made' : templateFaultWords(made.fault, 'us');
    expect(words).toContain(says);
    expect(words).not.toContain('..');
  });
});
