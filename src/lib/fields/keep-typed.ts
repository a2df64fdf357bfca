/** What is typed counts as it is typed: after a short pause, when the field is left, and when the page is hidden or goes away. */
import type { Attachment } from 'svelte/attachments';

/** So long nothing is typed before the text so far is taken. */
const PAUSE_MS = 400;

/** Attaches to a text field. `take` gets the text, and whether the field is still being typed in. */
export function keepTyped(take: (text: string, typing: boolean) => void): Attachment<HTMLInputElement> {
  return (input) => {
    let timer: ReturnType<typeof setTimeout> | null = null;
    const flush = (typing: boolean) => {
      if (timer === null) return;
      clearTimeout(timer);
      timer = null;
      take(input.value, typing);
    };
    const typed = () => {
      if (timer !== null) clearTimeout(timer);
      timer = setTimeout(() => flush(true), PAUSE_MS);
    };
    const left = () => {
      if (timer !== null) clearTimeout(timer);
      timer = null;
      const text = input.value;
      // A field that goes with its form is left while the page is being changed, when nothing may be set.
      queueMicrotask(() => take(text, false));
    };
    const away = () => flush(true);
    input.addEventListener('input', typed);
    input.addEventListener('change', left);
    document.addEventListener('visibilitychange', away);
    window.addEventListener('pagehide', away);
    return () => {
      flush(false);
      input.removeEventListener('input', typed);
      input.removeEventListener('change', left);
      document.removeEventListener('visibilitychange', away);
      window.removeEventListener('pagehide', away);
    };
  };
}
