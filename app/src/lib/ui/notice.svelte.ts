/** A sentence about what a person just did that asks for nothing: shown at the foot of the page until they go on. */
class Notice {
  text: string | null = $state(null);
  private timer: ReturnType<typeof setTimeout> | undefined;

  say(text: string): void {
    this.text = text;
    clearTimeout(this.timer);
    this.timer = setTimeout(() => (this.text = null), 8000);
  }
  clear(): void {
    clearTimeout(this.timer);
    this.text = null;
  }
}

export const notice = new Notice();
