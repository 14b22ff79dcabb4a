/** Scrolls to the first field that is wrong and puts the cursor there, so nobody has to look for it. */
export function showFirstFault(within: HTMLElement | null | undefined): void {
  const field = within?.querySelector<HTMLElement>('[aria-invalid="true"]');
  if (!field) return;
  field.focus({ preventScroll: true });
  field.scrollIntoView({ block: 'center' });
}
