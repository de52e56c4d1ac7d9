import { type FormEvent, useState } from 'react';
import {
  type DefaultValues,
  type FieldPath,
  type FieldValues,
  get,
  useForm,
  type UseFormReturn,
} from 'react-hook-form';
import { RequestError } from '../api';
import { placeErrors } from './place-errors';

interface Options<Values extends FieldValues> {
  /** What stands in the fields at the start. */
  readonly first: DefaultValues<Values>;
  /** Sends what is filled in. What the house refuses it for is shown at its fields. */
  readonly onSend: (values: Values) => Promise<void>;
  /** Fields that the house knows by another name, by the house's name. */
  readonly houseNames?: Readonly<Record<string, FieldPath<Values>>>;
  /** Where the house has the fields, when not at the top of what is sent. */
  readonly under?: string;
}

export interface HouseForm<Values extends FieldValues> extends UseFormReturn<Values> {
  /** What a text field, a list or a text area needs: its value, and what is wrong with it. */
  readonly field: (name: FieldPath<Values>) => ReturnType<UseFormReturn<Values>['register']> & {
    readonly defaultValue: string;
    readonly error: string | undefined;
  };
  readonly errorOf: (name: FieldPath<Values>) => string | undefined;
  /** What is wrong beyond any field. */
  readonly trouble: string | undefined;
  readonly submit: (event?: FormEvent) => void;
}

/**
 * A form whose answers the house judges: what was filled in stays, every refusal stands at its field, and the first
 * one that is wrong has the focus. There are no rules here; they would be a second wording of the contract.
 */
export function useHouseForm<Values extends FieldValues>({
  first,
  onSend,
  houseNames = {},
  under,
}: Options<Values>): HouseForm<Values> {
  const form = useForm<Values>({ defaultValues: first });
  const [trouble, setTrouble] = useState<string>();
  // Asked for while drawing: the form tells of errors only those who have looked at them.
  const { errors } = form.formState;
  const errorOf = (name: FieldPath<Values>) => (get(errors, name) as { message?: string } | undefined)?.message;

  const send = form.handleSubmit(async (values) => {
    try {
      await onSend(values);
    } catch (caught) {
      if (!(caught instanceof RequestError)) throw caught;
      const { atFields, beyond } = placeErrors(caught, Object.keys(flat(values)), { houseNames, under });
      atFields.forEach(([name, message], i) =>
        form.setError(name as FieldPath<Values>, { type: 'house', message }, { shouldFocus: i === 0 }),
      );
      setTrouble(beyond);
    }
  });
  return {
    ...form,
    ...{ errorOf, trouble },
    field: (name) => ({
      ...form.register(name),
      // So that the page shows it before it has come alive.
      defaultValue: get(first, name) as string,
      error: errorOf(name),
    }),
    submit: (event) => {
      event?.preventDefault();
      form.clearErrors();
      setTrouble(undefined);
      void send(event);
    },
  };
}

/** The fields of what is filled in by their paths; a list is one field. */
function flat(values: FieldValues, before = ''): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(values).flatMap(([name, value]: [string, unknown]) =>
      value !== null && typeof value === 'object' && !Array.isArray(value)
        ? Object.entries(flat(value as FieldValues, `${before}${name}.`))
        : [[`${before}${name}`, value]],
    ),
  );
}
