/** A label in the middle of a sentence: its first letter small, names inside it as they are. */
export const lowerFirst = (label: string): string => label.charAt(0).toLowerCase() + label.slice(1);
