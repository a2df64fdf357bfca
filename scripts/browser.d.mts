/** Types of `browser.mjs`, for the Playwright configuration. */
export const launchArguments: string[];
