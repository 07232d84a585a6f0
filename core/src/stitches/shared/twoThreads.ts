/** The thread that is worked first and the one that whips, laces, weaves or ties it, as a path counts them. */
export const FIRST_THREAD = 0;
export const SECOND_THREAD = 1;
