import fc from 'fast-check';

/** `npm test` draws the same shops each time, so what fails here failed by the change; nightly draws anew. */
if (process.env.FRANK_GAUGE_RUNS === undefined) fc.configureGlobal({ seed: 20_261_101 });
