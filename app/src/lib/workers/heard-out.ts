/**
 * Work that tells how far it is. What is told goes another way than the answer (a port of its own) and may arrive after
 * it: then what was over would be shown as still going on. So the answer waits until all that was told was heard.
 */
export async function heardOut<Told extends unknown[], Answer>(
  listen: (...told: Told) => unknown,
  work: (tell: (...told: Told) => void) => Promise<Answer>,
): Promise<Answer> {
  let last: unknown;
  const answer = await work((...told) => {
    last = listen(...told);
  });
  await last;
  return answer;
}
