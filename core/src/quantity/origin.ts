/** Where a coefficient comes from: a published source, common practice, or a modelling default. */
export type Origin = 'standard' | 'practice' | 'estimate';
