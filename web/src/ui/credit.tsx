import type { WeatherServiceDto } from '@candid-leaf/contract';

/** The credit that a weather service's licence asks for, where its weather is shown. */
export function Credit({ of }: { of: WeatherServiceDto | null | undefined }) {
  return of?.credit ? (
    <a href={of.credit.url} target="_blank" rel="noreferrer" className="text-sm text-soft underline">
      {of.credit.text}
    </a>
  ) : null;
}
