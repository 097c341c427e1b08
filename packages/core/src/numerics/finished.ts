/** What a search comes to, all its steps taken. */
export function finished<Found>(search: Generator<unknown, Found>): Found {
  for (let step = search.next(); ; step = search.next()) if (step.done) return step.value;
}
