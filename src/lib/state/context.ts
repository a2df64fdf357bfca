/** What the pages of an open job share. */
import { createContext } from 'svelte';
import type { Place } from './place.svelte';
import type { JobSession } from './session.svelte';

export const [getSession, setSession] = createContext<() => JobSession>();
export const [getPlace, setPlace] = createContext<Place>();
