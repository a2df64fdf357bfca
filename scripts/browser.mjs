/** Flags that Debian's chromium needs to run alone: headless, in a container, without calls of its own to the outside. */
export const launchArguments = [
  '--headless',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync'
];
