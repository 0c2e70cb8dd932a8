import fc from 'fast-check';

// A property that fails in one run of forty stops whoever runs it next. `PROPERTY_SEED=random` looks for new cases.
const { PROPERTY_SEED } = process.env;
if (PROPERTY_SEED !== 'random') fc.configureGlobal({ seed: Number(PROPERTY_SEED ?? 1) });
