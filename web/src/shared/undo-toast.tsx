import { Button } from 'antd';
import type { ReactNode } from 'react';
import { t } from '../language/t';
import { dismissToast, toast } from './toast';

/** Long enough to see that it was pressed by mistake, s. */
const STAYS = 12;

/** Words of their own around the button that takes it back. */
type Said = string | ((button: (words: ReactNode) => ReactNode) => ReactNode);

/**
 * Says what was done, with a press that takes it back.
 *
 * @param key of its own, so that a second word on the same thing takes the place of the first
 * @param said a line, with the button behind it; or words that have the button where they name it
 */
export function undoToast(key: string, said: Said, undo: () => void): void {
  const button = (words: ReactNode): ReactNode => (
    <Button
      size="small"
      onClick={() => {
        dismissToast(key);
        undo();
      }}
    >
      {words}
    </Button>
  );
  const content =
    typeof said === 'string' ? (
      <>
        {said} {button(t('shared.undo'))}
      </>
    ) : (
      said(button)
    );
  toast({ key, stays: STAYS, content: <span>{content}</span> });
}
