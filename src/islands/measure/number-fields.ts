/** Goes on to the number after this one in its sheet; stays with the last. */
export function goOn(field: HTMLInputElement): void {
  const all = [...(field.closest('main')?.querySelectorAll<HTMLInputElement>('input[data-number]') ?? [])];
  const next = all.slice(all.indexOf(field) + 1).find((one) => !one.disabled);
  next?.focus();
}
