/** Everything a person makes lives in the browser, so pages are drawn there. Server routes are not touched by this. */
export const ssr = false;
