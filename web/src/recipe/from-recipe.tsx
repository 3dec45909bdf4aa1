import { Button, Input, Select, Upload } from 'antd';
import type { ReactNode } from 'react';
import { useCookers } from '../api/queries';
import { Found } from './found';
import styles from './from-recipe.module.css';
import { asOf } from './line-choices';
import { MakeThePlan } from './make-the-plan';
import { useRecipe } from './use-recipe';
import { t } from '../language/t';

/** A recipe of anybody's, pasted or from a file, made into a plan: every guess beside the line it was made from. */
export function FromRecipe(): ReactNode {
  const cookers = useCookers().data ?? [];
  const { text, setText, right, reading, wrong, setWrong, busy, cookerId, takeCooker, begin, putRight } = useRecipe();
  return (
    <div className="room from-recipe">
      <h1>{t('app.from-a-recipe')}</h1>
      <p className="dim">{t('recipe.paste-a-recipe-or-the')}</p>
      <Input.TextArea
        aria-label={t('recipe.the-recipe')}
        rows={reading ? 3 : 10}
        value={text}
        placeholder={t('recipe.1-5-kg-goat-shoulder')}
        onChange={(event) => setText(event.target.value)}
        onDrop={(event) => {
          const [file] = event.dataTransfer.files;
          if (!file) return;
          event.preventDefault();
          void file.text().then(begin);
        }}
      />
      <div className={styles['recipe-row']}>
        <Button
          type={reading?.plan ? 'default' : 'primary'}
          loading={busy}
          disabled={text.trim() === ''}
          onClick={() => begin(text)}
        >
          {t('recipe.read-it')}
        </Button>
        <Upload
          accept=".html,.htm,.json,.jsonld,.txt,.md,text/*,application/json"
          showUploadList={false}
          beforeUpload={(file) => {
            void file.text().then(begin);
            return false;
          }}
        >
          <Button>{t('recipe.from-a-file')}</Button>
        </Upload>
        <Select
          aria-label={t('recipe.in-which-cooker')}
          value={cookerId ?? null}
          placeholder={t('recipe.a-medium-electric-pot')}
          options={cookers.map(({ id, cooker: { name } }) => ({ value: id, label: name }))}
          onChange={takeCooker}
        />
      </div>
      {wrong !== null && (
        <p role="alert" className={styles['recipe-wrong']}>
          <span aria-hidden>▲ </span>
          {wrong}
        </p>
      )}
      {reading && (
        <Found
          reading={reading}
          said={{ ...right.corrections, ...right.amounts, ...right.whens }}
          onCorrect={(i, value) => putRight('corrections', i, asOf(value))}
          onWeigh={(i, grams) => putRight('amounts', i, grams)}
          onWhen={(i, when) => putRight('whens', i, when)}
        />
      )}
      {reading?.plan && <MakeThePlan plan={reading.plan} onFault={setWrong} />}
    </div>
  );
}
