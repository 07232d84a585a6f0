/** What can be asked about the present step: all of it by a long press, or one thing by its own button. */
export type MoreTopic = 'all' | 'how' | 'part' | 'wrong';
