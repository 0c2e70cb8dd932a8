/** Of the API: raised only by what an older page could not survive. Fields that are added do not raise it. */
export const API_VERSION = 2;
/** Sent with every answer; a request that names another version is refused instead of misunderstood. */
export const API_VERSION_HEADER = 'Lettura-Api';
