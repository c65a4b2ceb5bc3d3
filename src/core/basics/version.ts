/** The version of the application, as in package.json. */
export const APP_VERSION = '0.1.0';

/** What wrote a file, as every exported file says. */
export const WRITTEN_BY = `Mesa Drift ${APP_VERSION}`;
