import type { BendFitting } from '@frank-gauge/core/catalogue';
import type { Fitting } from '@frank-gauge/core/design';
import type { ComponentType } from 'react';

/** Fittings that are put into a run by hand; its turns have fields of their own. */
export type PlacedFitting = Exclude<Fitting, BendFitting>;

export interface FittingFieldsProps<F extends PlacedFitting> {
  readonly fitting: F;
  readonly change: (field: string, apply: (own: F) => void) => void;
}

/** How a kind of fitting is put in and what is asked of it: one file a kind, named in `fitting-forms.ts`. */
export interface FittingForm<F extends PlacedFitting = PlacedFitting> {
  /** On the button that puts one in. */
  readonly add: string;
  readonly Fields: ComponentType<FittingFieldsProps<F>>;
}
