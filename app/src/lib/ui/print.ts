/** A part of a printed page: its words, and what it is inside it. */
export function paper(tag: string, text = '', look = '', ...inside: HTMLElement[]): HTMLElement {
  const made = document.createElement(tag);
  made.textContent = text;
  if (look !== '') made.className = look;
  made.append(...inside);
  return made;
}

/** Prints what is put on a page of its own, apart from the screen; the page goes when it is printed. */
export async function printPage(
  title: string,
  style: string,
  fill: (body: HTMLElement, inside: Document) => void | Promise<void>,
): Promise<void> {
  const page = document.createElement('iframe');
  page.title = title;
  page.style.cssText = 'position:fixed;width:0;height:0;border:0';
  document.body.append(page);
  const { contentDocument: inside, contentWindow: inner } = page;
  if (!inside || !inner) return;
  inside.head.append(paper('style', style), paper('title', title));
  await fill(inside.body, inside);
  inner.addEventListener('afterprint', () => page.remove());
  inner.print();
}
