/** Work on one new wire with its ends, s. */
export const WORK_ON_WIRE = 720;
/** Opening a cover and closing it again takes so many times as long as closing it once. */
export const OPENED = 1.6;
