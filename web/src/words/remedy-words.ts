import type { Remedy } from '@frank-gauge/core/analysis';
import { formatShort, type QuantityKind, type UnitSystem } from '@frank-gauge/core/quantity';

/** What the shop calls its drops and runs. */
export interface Names {
  readonly drop: (id: string) => string;
  readonly run: (id: string) => string;
}

/** What to do, in the second person, with what it is worth where that is known. */
export function remedyWords(remedy: Remedy, system: UnitSystem, names: Names): string {
  const write = (value: number, kind: QuantityKind) => formatShort(value, kind, system);
  switch (remedy.kind) {
    case 'shorter hose':
      return remedy.gain > 0
        ? `Cut its hose to ${write(remedy.length, 'length')}: about +${write(remedy.gain, 'flow')}, no cost.`
        : '';
    case 'narrower':
      return `At ${write(remedy.diameter, 'diameter')} it would carry chips, at some cost in airflow.`;
    case 'wider':
      return `Make ${names.run(remedy.run)} ${write(remedy.diameter, 'diameter')} in diameter.`;
    case 'straight ahead of the inlet':
      return `Give it ${write(remedy.length, 'length')} (five diameters) of straight duct.`;
    case 'larger filter':
      return `Use ${write(remedy.area, 'area')} of media.`;
    case 'larger circuit':
      return `Ask a licensed electrician about a circuit for ${write(remedy.rating, 'current')}; local code decides.`;
    case 'larger way back':
      return `Open ${write(remedy.area, 'area')} for return air, and fit a carbon monoxide alarm.`;
    case 'open another gate':
      return 'Open another gate as well, or run a size narrower.';
    case 'shut a gate':
      return 'Shut a gate, or fit a smaller impeller.';
    case 'clean the filter':
      return 'Clean it from the clean side, wearing a respirator, with the collector running.';
    case 'seal':
      return 'Seal it: tape permanent joints, and gasket those that have to come apart.';
    case 'turn with the flow':
      return 'Turn the wye so that its branch points with the flow.';
    case 'sweep both legs':
      return 'Use a Y with legs at 30° or 45°, or bring one duct in as a wye branch.';
    case 'finer filter':
      return 'Fit MERV 14 media or better, or exhaust the air elsewhere.';
    case 'let air in':
      return 'Provide makeup air. A tight building can draw flue gas back from a heater or stove: carbon monoxide. Fit an alarm.';
  }
}
