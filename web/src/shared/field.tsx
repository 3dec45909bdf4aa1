import { Segmented } from 'antd';
import { useId, type ReactNode } from 'react';

interface FieldProps {
  readonly label: string;
  readonly fault?: string | undefined;
  readonly note?: ReactNode;
  /** Given the id its label points at. */
  readonly children: (id: string) => ReactNode;
}

/** A labelled control of a station, with room for what is wrong with it. */
export function Field({ label, fault, note, children }: FieldProps): ReactNode {
  const id = useId();
  return (
    <div className="field">
      <label htmlFor={id}>{label}</label>
      {children(id)}
      {fault !== undefined && (
        <span className="field-fault" role="alert">
          {fault}
        </span>
      )}
      {note !== undefined && <span className="field-note">{note}</span>}
    </div>
  );
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T) => void;
  readonly fault?: string | undefined;
  readonly note?: ReactNode;
}

/** One of a few, all in sight. */
export function Choice<T extends string>({ label, value, options, onChange, fault, note }: ChoiceProps<T>): ReactNode {
  return (
    <div className="field" role="group" aria-label={label}>
      <span className="label" aria-hidden>
        {label}
      </span>
      <Segmented<T> block className="choice" value={value} options={[...options]} onChange={onChange} name={useId()} />
      {fault !== undefined && (
        <span className="field-fault" role="alert">
          {fault}
        </span>
      )}
      {note !== undefined && <span className="field-note">{note}</span>}
    </div>
  );
}
