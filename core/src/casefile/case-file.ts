import 'reflect-metadata';
import { Equals } from 'class-validator';
import { PlantCase } from '../records/plant-case.js';

const CASE_FORMAT = 'candid-leaf-case';
const CASE_VERSION = 1;

/** One plant's case as an open JSON file: format `candid-leaf-case`, version 1. */
export class CaseFile extends PlantCase {
  @Equals(CASE_FORMAT, { message: `must be "${CASE_FORMAT}"` })
  format: typeof CASE_FORMAT;

  @Equals(CASE_VERSION, { message: 'must be 1: no other version is supported' })
  version: typeof CASE_VERSION;
}

/** Returns a case in the form it is saved in. */
export const caseFileOf = (c: PlantCase): CaseFile => ({ format: CASE_FORMAT, version: CASE_VERSION, ...c });
