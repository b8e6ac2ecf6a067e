import { useState } from 'react';

interface Props {
  label: string;
  hint?: string;
  /** Kinds of files, as a browser names them. */
  accept: string;
  disabled?: boolean;
  onFile: (file: File) => void;
}

/** A file of this device; which one was chosen stands beside it. */
export function FileField({ label, hint, accept, disabled = false, onFile }: Props) {
  const [name, setName] = useState('');
  return (
    <div>
      <div className="flex flex-wrap items-center gap-x-3">
        <label
          className={`inline-flex min-h-11 items-center rounded border border-line bg-sheet px-4 text-[0.95rem] font-medium focus-within:outline-2 focus-within:outline-pine2 ${disabled ? 'opacity-55' : 'cursor-pointer hover:border-pine2'}`}
        >
          {label}
          <input
            type="file"
            accept={accept}
            disabled={disabled}
            className="sr-only"
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file === undefined) return;
              setName(file.name);
              onFile(file);
              event.target.value = ''; // the same file may be chosen once more
            }}
          />
        </label>
        {name === '' ? null : <span className="break-all text-soft">{name}</span>}
      </div>
      {hint === undefined ? null : <p className="mt-1 text-sm text-soft">{hint}</p>}
    </div>
  );
}
