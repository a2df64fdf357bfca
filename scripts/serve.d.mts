import type { ChildProcess } from 'node:child_process';

export function startServer(port: number): Promise<{ origin: string; server: ChildProcess }>;
export function freePort(wished: number): Promise<number>;
