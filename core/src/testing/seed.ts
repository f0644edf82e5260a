import fc from 'fast-check';

// One seed for everybody, so that what passes here passes there; `SEED=any npx vitest run` goes looking for more.
const { SEED } = process.env;
if (SEED !== 'any') fc.configureGlobal({ seed: Number(SEED ?? 1926) });
