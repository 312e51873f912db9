import type { ChildProcess } from 'node:child_process';

export const ROOT: string;
export const WEB: string;
export const CHROMIUM: string;
export const ENVIRONMENT: NodeJS.ProcessEnv;
export function run(
  command: string,
  args: readonly string[],
  options?: { cwd?: string; keep?: boolean; isQuiet?: boolean },
): { ok: boolean; output: string };
export function tool(name: string): string;
export function installPackages(): boolean;
export function isBuilt(): boolean;
export function build(options?: { isQuiet?: boolean }): boolean;
export function freePort(first: number): Promise<number>;
export function startApp(
  port: number,
  host?: string,
): Promise<{ child: ChildProcess; address: string }>;
