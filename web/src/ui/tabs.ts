/** Style of a tab link. */
export const tabLook = ({ isActive }: { isActive: boolean }): string =>
  `inline-flex min-h-11 shrink-0 items-center border-b-4 whitespace-nowrap px-2 font-semibold ${isActive ? 'border-leaf text-leaf' : 'border-transparent text-soft hover:border-line'}`;
