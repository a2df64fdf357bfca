/** Reads a step aloud, where the browser speaks; off until somebody turns it on. */

export class Aloud {
  readonly possible = typeof window !== 'undefined' && 'speechSynthesis' in window;
  on = $state(false);

  say(text: string): void {
    if (!this.on || !this.possible) return;
    window.speechSynthesis.cancel();
    window.speechSynthesis.speak(new SpeechSynthesisUtterance(text));
  }

  stop(): void {
    if (this.possible) window.speechSynthesis.cancel();
  }
}
