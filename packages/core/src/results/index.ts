export * from './finding.ts';
export * from './formula.ts';
export * from './result.ts';
export * from './resultBook.ts';
export * from './sentence.ts';
