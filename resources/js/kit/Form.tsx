import type { ComponentProps, FormEvent } from 'react';

interface Props extends Omit<ComponentProps<'form'>, 'onSubmit' | 'noValidate'> {
  onSend: (event: FormEvent<HTMLFormElement>) => void;
}

/** Fields that hold something nobody can read say so by their custom validity. */
const isUnreadable = (element: Element): element is HTMLInputElement =>
  element instanceof HTMLInputElement && element.validity.customError;

/** A form that is not sent while a field holds what cannot be read: the field says what is wrong, and is gone to. */
export function Form({ onSend, ...rest }: Props) {
  return (
    <form
      {...rest}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        const wrong = [...event.currentTarget.elements].find(isUnreadable);
        if (wrong) wrong.focus();
        else onSend(event);
      }}
    />
  );
}
