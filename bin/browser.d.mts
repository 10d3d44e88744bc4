import type { Browser } from 'playwright-core';
export function chromiumPath(): string | null;
export const CHROMIUM_ARGS: string[];
export function launchBrowser(): Promise<Browser>;
