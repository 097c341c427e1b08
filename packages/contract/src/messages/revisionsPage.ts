/** So many revisions are told at once. */
export const REVISIONS_A_PAGE = 200;
