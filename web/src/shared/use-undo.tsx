import { App, Button } from 'antd';
import { t } from '../language/t';

/** Long enough to see that it was pressed by mistake, s. */
const STAYS = 12;

/**
 * Says what was done, with a press that takes it back.
 *
 * @returns told under a key of its own, so that a second word on the same thing takes the place of the first
 */
export function useUndo(): (key: string, said: string, undo: () => void) => void {
  const { message } = App.useApp();
  return (key, said, undo) =>
    void message.open({
      key,
      duration: STAYS,
      content: (
        <span>
          {said}{' '}
          <Button
            size="small"
            onClick={() => {
              message.destroy(key);
              undo();
            }}
          >
            {t('shared.undo')}
          </Button>
        </span>
      ),
    });
}
