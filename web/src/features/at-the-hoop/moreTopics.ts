/** What can be asked about the present step: all of it by a long press, or one thing by its own button. */
export const MORE_TOPICS = ['all', 'how', 'part', 'wrong'] as const;
export type MoreTopic = (typeof MORE_TOPICS)[number];
