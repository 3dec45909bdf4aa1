import { Modal } from 'antd';
import type { ReactNode } from 'react';
import { type Message, say, type Text } from '@hervir/language';
import { t, textOf } from '../language/t';

const KEYS: readonly (readonly [Text, Message])[] = [
  [say('app.alt-1-9'), say('app.go-to-a-room')],
  ['1 … 7', say('app.open-a-station-on-the')],
  ['0', say('app.on-the-bench-why-what')],
  ['← →', say('app.on-the-line-a-minute')],
  [say('app.page'), say('app.on-the-line-five-minutes')],
  [say('app.ctrl-z-ctrl-y'), say('app.undo-and-redo-on-the')],
  [say('app.space'), say('app.at-the-pot-what-the')],
  ['P  M  B  U', say('app.at-the-pot-pin-up')],
  ['?', say('app.these-keys')],
];

/** What each key does. */
export function KeysDialog({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }): ReactNode {
  return (
    <Modal title={t('app.keys')} open={open} onCancel={onClose} footer={null}>
      <dl style={{ display: 'grid', gridTemplateColumns: 'auto 1fr', gap: '8px 24px', margin: 0 }}>
        {KEYS.map(([key, what]) => (
          <div key={textOf(key)} style={{ display: 'contents' }}>
            <dt className="figure" style={{ fontWeight: 700 }}>
              {textOf(key)}
            </dt>
            <dd style={{ margin: 0 }}>{textOf(what)}</dd>
          </div>
        ))}
      </dl>
      <p className="dim" style={{ marginTop: 12 }}>
        {t('app.single-keys-can-be-switched')}
      </p>
    </Modal>
  );
}
