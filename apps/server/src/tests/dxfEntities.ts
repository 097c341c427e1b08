/** The entities of a DXF file: their kind and the values of each group code. */
export function entitiesOf(dxf: string) {
  const lines = dxf.split(/\r?\n/).map((line) => line.trim());
  const pairs = lines.flatMap((code, i) =>
    i % 2 === 0 ? [[code, lines[i + 1] ?? ''] as const] : [],
  );
  const from = pairs.findIndex(([code, value]) => code === '2' && value === 'ENTITIES');
  const entities: { kind: string; groups: Record<string, string> }[] = [];
  for (const [code, value] of pairs.slice(from + 1)) {
    if (code === '0' && value === 'ENDSEC') break;
    if (code === '0') entities.push({ kind: value, groups: {} });
    else {
      const last = entities.at(-1);
      if (last) last.groups[code] ??= value;
    }
  }
  return entities;
}
