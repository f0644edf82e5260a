const BLOCKED = new Set([
  'MissingAPIError',
  'SecurityError',
  'InvalidStateError',
  'OpenFailedError',
  'UnknownError',
  'NotFoundError',
  'NotAllowedError',
  'TimeoutError',
]);

interface Named {
  name?: string;
  message?: string;
  inner?: Named;
}

const namesOf = (error: Named | undefined): string[] => (error ? [error.name ?? '', ...namesOf(error.inner)] : []);

/** Whether the browser's storage is full. */
export const isFull = (error: unknown): boolean =>
  namesOf(error as Named).some((name) => name === 'QuotaExceededError');

/** Why the browser does not keep or give back what it should, as a sentence for people. */
export function storageTrouble(error: unknown): string {
  const names = namesOf(error as Named);
  if (isFull(error)) return 'The storage of this browser is full.';
  if (names.includes('VersionError'))
    return 'What lies in this browser was kept by a newer Gentle Arc: reload the page.';
  if (names.some((name) => BLOCKED.has(name)))
    return 'This browser lets this page keep nothing: a private window, or storage that is blocked in its settings.';
  return `The storage of this browser does not answer (${(error as Error).message.slice(0, 120)}).`;
}
