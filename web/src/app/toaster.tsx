import { message, notification } from 'antd';
import { useEffect, type ReactNode } from 'react';
import { useToasts } from '../shared/toast';

/** Where toasts are shown, by the component library: not in the first load, fetched with the first of them. */
export function Toaster(): ReactNode {
  const [words, placeOfWords] = message.useMessage();
  const [calls, placeOfCalls] = notification.useNotification();
  const asked = useToasts((state) => state.asked);
  useEffect(() => {
    if (asked.length === 0) return;
    useToasts.setState((state) => ({ asked: state.asked.filter((one) => !asked.includes(one)) }));
    for (const one of asked) {
      if ('show' in one) {
        const { key, kind, content, stays } = one.show;
        void words.open({ key, type: kind, content, duration: stays });
      } else if ('call' in one) {
        const { key, title, words: description } = one.call;
        calls.info({ key, title, description, duration: 0 });
      } else words.destroy(one.dismiss);
    }
  }, [asked, words, calls]);
  return (
    <>
      {placeOfWords}
      {placeOfCalls}
    </>
  );
}
