import { useState } from 'react';
import { useTranslation } from '../../messages';
import { Fold } from '../../kit/Fold';
import type { Audit, Finding } from '../../api/client';
import { CloseText } from '../../kit/closeFields';
import { Button } from '../../kit/controls';
import { Form } from '../../kit/Form';
import type { Severity } from '../../pictures/Ribbon';
import type { Edit } from './edits';
import { say, sentence } from '../../messages/say';

/** The worst finding of each position, for the ribbon. */
export function findingsByPosition(findings: Finding[]): Map<number, Severity> {
  const order: Severity[] = ['error', 'doubt', 'gap'];
  const worst = new Map<number, Severity>();
  for (const { position, severity } of findings) {
    if (position === null) continue;
    const before = worst.get(position);
    if (before === undefined || order.indexOf(severity as Severity) < order.indexOf(before))
      worst.set(position, severity as Severity);
  }
  return worst;
}

/** The same shapes as on the ribbon. */
export function SeverityMark({ severity }: { severity: string }) {
  const { table } = useTranslation();
  const words = table('score.severity');
  return (
    <svg
      width="12"
      height="12"
      viewBox="0 0 12 12"
      role="img"
      aria-label={words[severity] ?? severity}
      className="mt-1.5 shrink-0"
    >
      {severity === 'gap' ? (
        <circle cx="6" cy="6" r="2.6" fill="var(--soft)" />
      ) : (
        <path
          d="M6 1 l4.5 5 l-4.5 5 l-4.5 -5 z"
          fill={severity === 'error' ? 'var(--persimmon)' : 'none'}
          stroke="var(--persimmon)"
          strokeWidth="1.4"
        />
      )}
    </svg>
  );
}

interface Props {
  audit: Audit;
  onGo: (position: number) => void;
  onEdit: (edits: Edit[], said: string | null) => void;
}

/** What does not add up, each with what would put it right; what is accepted, with the reason. */
export function Findings({ audit, onGo, onEdit }: Props) {
  const { t } = useTranslation();
  return (
    <section>
      {audit.findings.length === 0 ? <p className="text-soft">{t('forms.noFindings')}</p> : null}
      <ul className="m-0 list-none p-0">
        {audit.findings.map((finding) => (
          <li key={`${finding.code}.${finding.grounds}.${String(finding.position)}`} className="border-b border-line py-2">
            <One finding={finding} onGo={onGo} onEdit={onEdit} />
          </li>
        ))}
      </ul>
      {audit.accepted.length > 0 ? (
        <Fold className="mt-3" title={t('score.accepted', { count: audit.accepted.length })}>
          <ul className="m-0 list-none p-0 text-sm">
            {audit.accepted.map((finding) => (
              <li key={`${finding.code}.${finding.grounds}`} className="border-b border-line py-2">
                <p>{sentence(finding.says)}</p>
                <p className="text-soft">“{finding.reason}”</p>
                <Button
                  look="quiet"
                  onClick={() => {
                    onEdit([{ op: 'accept', code: finding.code, grounds: finding.grounds, reason: null }], null);
                  }}
                >
                  {t('score.reopen')}
                </Button>
              </li>
            ))}
          </ul>
        </Fold>
      ) : null}
    </section>
  );
}

function One({ finding, onGo, onEdit }: { finding: Finding } & Pick<Props, 'onGo' | 'onEdit'>) {
  const { t, table } = useTranslation();
  const suggestions = table('score.acceptSuggest');
  const codes = table('score.codes');
  const [reason, setReason] = useState<string | null>(null);
  const { mend, position } = finding;
  return (
    <div className="flex gap-2 text-[0.95rem]">
      <SeverityMark severity={finding.severity} />
      <div className="min-w-0 grow">
        <p className="text-xs text-soft">
          {codes[finding.code] ?? finding.code} ·{' '}
          {position === null ? (
            t('score.wholeForm')
          ) : (
            <Button
              look="tool"
              onClick={() => {
                onGo(position);
              }}
            >
              {t('score.go', { position })}
            </Button>
          )}
        </p>
        <p>{sentence(finding.says)}</p>
        {reason === null ? (
          <p className="mt-1 flex flex-wrap gap-x-3 gap-y-1">
            {mend ? (
              <Button
                className="text-sm"
                onClick={() => {
                  onEdit(mend.edits as unknown as Edit[], t('score.mended', { what: say(mend.says) }));
                }}
              >
                {say(mend.says)}
              </Button>
            ) : null}
            <Button
              look="quiet"
              className="text-sm"
              onClick={() => {
                setReason(suggestions[finding.code] ?? suggestions.default ?? '');
              }}
            >
              {t('score.accept')}
            </Button>
          </p>
        ) : (
          <Form
            className="mt-1"
            onSend={() => {
              if (reason.trim() === '') return;
              onEdit(
                [{ op: 'accept', code: finding.code, grounds: finding.grounds, reason: reason.trim() }],
                t('score.acceptedNow'),
              );
            }}
          >
            <label className="text-xs text-soft">
              {t('score.acceptReason')}
              <CloseText
                value={reason}
                maxLength={120}
                onChange={(event) => {
                  setReason(event.target.value);
                }}
              />
            </label>
            <div className="mt-1 flex gap-3">
              <Button type="submit" look="primary" className="text-sm" disabled={reason.trim() === ''}>
                {t('score.acceptSave')}
              </Button>
              <Button
                look="quiet"
                className="text-sm"
                onClick={() => {
                  setReason(null);
                }}
              >
                {t('score.cancel')}
              </Button>
            </div>
          </Form>
        )}
      </div>
    </div>
  );
}
