/** The latest so many readings are weighed. */
export const MOST_WEIGHED = 40;
