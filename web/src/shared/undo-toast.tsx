import { Button } from 'antd';
import { t } from '../language/t';
import { dismissToast, toast } from './toast';

/** Long enough to see that it was pressed by mistake, s. */
const STAYS = 12;

/**
 * Says what was done, with a press that takes it back.
 *
 * @param key of its own, so that a second word on the same thing takes the place of the first
 */
export function undoToast(key: string, said: string, undo: () => void): void {
  toast({
    key,
    stays: STAYS,
    content: (
      <span>
        {said}{' '}
        <Button
          size="small"
          onClick={() => {
            dismissToast(key);
            undo();
          }}
        >
          {t('shared.undo')}
        </Button>
      </span>
    ),
  });
}
