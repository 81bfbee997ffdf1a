export * from './ChoiceField';
export * from './Field';
export * from './FormFields';
export * from './LengthLine';
export * from './SizePicker';
export * from './Strips';
export * from './Upload';
export type { Defined, Form, TypedValues } from './fieldParts';
export * from './plain';
