import type { ComponentProps } from 'react';
import { type FieldPath, type FieldValues, useController } from 'react-hook-form';
import { DateField } from '../../ui/date-field/DateField';
import type { HouseForm } from './use-house-form';

interface Props<Values extends FieldValues> extends Pick<ComponentProps<typeof DateField>, 'label' | 'hint'> {
  readonly form: HouseForm<Values>;
  readonly name: FieldPath<Values>;
}

/** A date of a form whose answers the house judges. */
export function FormDate<Values extends FieldValues>({ form, name, ...rest }: Props<Values>) {
  const {
    field: { ref, value, onChange, onBlur },
  } = useController({ control: form.control, name });
  return (
    <DateField
      {...rest}
      ref={ref}
      value={value as string}
      onDay={onChange}
      onBlur={onBlur}
      error={form.errorOf(name)}
    />
  );
}
