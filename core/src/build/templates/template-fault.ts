/** Why sizes make no template, with the number that would do: lengths in m. */
export type TemplateFault =
  /** What has to have a size has none. */
  | { readonly kind: 'no size' }
  | { readonly kind: 'larger than its drum'; readonly most: number }
  | { readonly kind: 'wall thicker than the drum'; readonly most: number }
  | { readonly kind: 'beside the wall'; readonly most: number }
  | { readonly kind: 'angle out of range' | 'turn out of range' }
  | { readonly kind: 'pieces out of range'; readonly most: number }
  | { readonly kind: 'cuts too flat'; readonly least: number }
  /** No length is left at the throat: the radius has to be more than this. */
  | { readonly kind: 'throat without length'; readonly over: number }
  | { readonly kind: 'count out of range'; readonly most: number }
  | { readonly kind: 'meet the large hole'; readonly least: number }
  | { readonly kind: 'meet each other'; readonly most: number }
  /** The lid has to be larger than this. */
  | { readonly kind: 'lid falls in'; readonly over: number }
  /** Null: no elbow would do, the drum is too small. */
  | { readonly kind: 'holes meet'; readonly most: number | null };

export interface TemplateRefused<F> {
  readonly ok: false;
  readonly field: F;
  readonly fault: TemplateFault;
}

export const refusing =
  <F>() =>
  (field: F, fault: TemplateFault): TemplateRefused<F> => ({ ok: false, field, fault });

export const NO_SIZE: TemplateFault = { kind: 'no size' };
