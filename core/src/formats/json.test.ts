import { afterEach, describe, expect, it, vi } from 'vitest';
import { jsonOf } from './json';
import { Refusal } from './refusal';

const refusal = (text: string): string => {
  try {
    jsonOf(text);
  } catch (error) {
    if (error instanceof Refusal) return error.message;
    throw error;
  }
  return 'none';
};

describe('what is no JSON is refused in words of ours', () => {
  it.each([
    ['nothing', ' \n', 'there is nothing in it.'],
    ['a document', '%PDF-1.4 and so on and on', 'it begins with “%PDF-1.4 and so on …”.'],
    ['a packed file', 'PK\u0003\u0004', 'it is no text at all. If it is packed, unpack it and choose what was in it.'],
    [
      'bytes of another program',
      '{\u0000\ufffd',
      'it is no text at all. If it is packed, unpack it and choose what was in it.',
    ],
    ['half a file', '{"name": "First', 'it breaks off before its end.'],
    ['half a list', '[1, 2', 'it breaks off before its end.'],
    ['a word too many', `{"a": 1,\n"b": 2,\n${' '.repeat(200)}oops}`, 'something is written wrongly in line 3.'],
    ['a sentence about an end', '[1, unexpected end]', 'something in it is written wrongly.'],
  ])('%s', (_, text, why) => {
    expect(refusal(text)).toBe(`(the whole file) is not JSON: ${why}`);
  });

  afterEach(() => vi.restoreAllMocks());
  // What other browsers say: Firefox and Safari, from memory.
  it.each([
    ['JSON.parse: unexpected end of data at line 1 column 9 of the JSON data', 'it breaks off before its end.'],
    ['JSON.parse: unexpected character at line 7 column 3 of the JSON data', 'something is written wrongly in line 7.'],
    ['JSON Parse error: Unexpected EOF', 'it breaks off before its end.'],
    ['JSON Parse error: Unexpected identifier "line 4"', 'something in it is written wrongly.'],
  ])('%s', (said, why) => {
    vi.spyOn(JSON, 'parse').mockImplementation(() => {
      throw new SyntaxError(said);
    });
    expect(refusal('{}')).toBe(`(the whole file) is not JSON: ${why}`);
  });
});
