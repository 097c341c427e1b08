/** How near an entry is to what was typed: every word of it stands there, best at the beginning. */
export function closeness(entry: string, typed: string): number {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const text = entry.toLowerCase();
  if (!words.every((word) => text.includes(word))) return 0;
  if (text.startsWith(words.join(' '))) return 1;
  return words.every((word) => ` ${text}`.includes(` ${word}`)) ? 0.7 : 0.4;
}
