'use client';
import styled from 'styled-components';
import { ChoiceField } from './ChoiceField';
import { DayField } from './DayField';
import { Field } from './Field';
import { TagsField } from './TagsField';
import type { Defined, Form } from './fieldParts';

/** Two fields side by side. */
export const Pair = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 9px;
`;

interface FormFieldsProps {
  form: Form;
  /** The form's one definition: titles, units, choices, hints. */
  of: Defined;
  /** Which of its fields, in their order here; all that are asked for where none are named. */
  only?: readonly string[];
  /** How the choices of a field are called, where not by themselves. */
  options?: Readonly<Record<string, readonly (readonly [string, string])[]>>;
  /** What is said under a field beside what its definition says. */
  hints?: Readonly<Record<string, string | undefined>>;
  /** What a field is called here, where another word is needed. */
  labels?: Readonly<Record<string, string>>;
  /** Units that differ from the definition's: the currency of what is changed. */
  units?: Readonly<Record<string, string>>;
  /** Fields of several lines. */
  lines?: Readonly<Record<string, number>>;
  /** Words that are often meant, offered while one types. */
  offered?: Readonly<Record<string, readonly string[]>>;
  /** Labels above figures, too. */
  stacked?: boolean;
}

/** The fields of a form as its definition has them: words, figures with their unit, choices, days. */
export const FormFields = ({
  form,
  of,
  only = Object.keys(of.fields).filter((name) => !of.fields[name]!.hidden),
  options = {},
  hints = {},
  labels = {},
  units = {},
  lines = {},
  offered = {},
  stacked = false,
}: FormFieldsProps) =>
  only.map((name) => {
    const { schema } = of.fields[name]!;
    const own = { form, of, name, ...(labels[name] ? { label: labels[name] } : {}) };
    const choices = options[name] ?? schema.enum?.map((v) => [v, v] as const);
    if (choices)
      return (
        <ChoiceField
          key={name}
          {...own}
          options={choices}
          words={stacked}
          {...(hints[name] ? { hint: hints[name] } : {})}
        />
      );
    if (of.fields[name]!.listed) return <TagsField key={name} {...own} />;
    if (schema.format === 'date') return <DayField key={name} {...own} />;
    return (
      <Field
        key={name}
        {...own}
        words={stacked || /string|array/.test(schema.type ?? '')}
        {...(units[name] ? { unit: units[name] } : {})}
        {...(hints[name] ? { hint: hints[name] } : {})}
        {...(lines[name] ? { lines: lines[name] } : {})}
        {...(offered[name] ? { offered: offered[name] } : {})}
      />
    );
  });
