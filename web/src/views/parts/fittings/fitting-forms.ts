import type { FittingForm, PlacedFitting } from './fitting-form';
import { flapDamperForm } from './flap-damper-form';
import { otherFittingForm } from './other-fitting-form';

const FITTING_FORMS: {
  readonly [K in PlacedFitting['kind']]: FittingForm<Extract<PlacedFitting, { kind: K }>>;
} = {
  flapDamper: flapDamperForm,
  other: otherFittingForm,
};

export const PLACED_KINDS = Object.keys(FITTING_FORMS) as readonly PlacedFitting['kind'][];

/** The form of a kind, which is only ever given fittings of that kind. */
export const formOf = (kind: PlacedFitting['kind']): FittingForm =>
  FITTING_FORMS[kind] as unknown as FittingForm;
