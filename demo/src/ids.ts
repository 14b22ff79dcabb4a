import { v5 } from 'uuid';

const NAMESPACE = '6d3c1c1e-8c0e-4f5e-9a53-3f0b7a0f2a11';
/** The same name always gives the same id, so reloading the demo changes nothing. */
export const idOf = (name: string): string => v5(name, NAMESPACE);
