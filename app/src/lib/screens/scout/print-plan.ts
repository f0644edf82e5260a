import type { SitePlan } from '@gentle-arc/core/formats';

/** Prints a plan to scale, and nothing else of the page: millimetres of the drawing are millimetres of the sheet. */
export function printPlan({ svg }: SitePlan): void {
  const frame = document.createElement('iframe');
  frame.title = 'Plan to print';
  frame.style.cssText = 'position:fixed;width:0;height:0;border:0';
  frame.srcdoc = `<!doctype html><style>@page{size:A4 landscape;margin:10mm}body{margin:0}svg{display:block}</style>${svg}`;
  frame.addEventListener('load', () => {
    const page = frame.contentWindow;
    if (!page) return;
    page.addEventListener('afterprint', () => frame.remove());
    page.print();
  });
  document.body.append(frame);
}
