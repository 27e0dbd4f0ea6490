/** Debian's headless Chromium (`scripts/ensure.sh`), which tests, pictures and measurements drive. */
export const CHROMIUM = "/usr/bin/chromium-headless-shell";
