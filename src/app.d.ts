import '@sveltejs/adapter-node';

declare global {
  namespace App {
    interface Error {
      message: string;
      /** Place of each fault in what came in. */
      faults?: readonly { path: string; expected: string; found: string }[];
    }
  }
}

export {};
