/** Each property says in one sentence what it does. */
import { describe, expect, it } from 'vitest';
import { kinds, whatItDoes } from '../src/index.ts';

describe('the sentence of a property', () => {
  for (const kind of kinds)
    it(`is there for all of ${kind.name}, one sentence with a full stop`, () => {
      for (const property of kind.properties) {
        const sentence = whatItDoes(property);
        expect(sentence, `${kind.name}.${property.name} (${property.label})`).toMatch(/^[A-Z].*\.$/);
        expect(sentence.length, sentence).toBeLessThanOrEqual(120);
      }
    });
});
