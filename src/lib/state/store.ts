/** The one store of this page, and its notes of what is not saved yet. */
import { browserStore } from '$storage/browser';
import type { JobStore } from '$storage/port';
import { browserNotes, type UnsavedNotes } from '$storage/unsaved';

let store: JobStore | null = null;

export function jobStore(): JobStore {
  store ??= browserStore();
  return store;
}

let notes: UnsavedNotes | null | undefined;

export function jobNotes(): UnsavedNotes | null {
  notes ??= browserNotes();
  return notes;
}

/** A rest for a new job's id: time and chance, so that jobs of two browsers do not meet. */
export function freshRest(): string {
  const chance = crypto.getRandomValues(new Uint32Array(1))[0] ?? 0;
  return `${Date.now().toString(36)}-${chance.toString(36)}`;
}
