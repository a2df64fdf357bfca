import type { Plugin } from 'vite';

export function fewerParts(): Plugin;
