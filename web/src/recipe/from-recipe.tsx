import { Button, Input, Select, Upload } from 'antd';
import type { ReactNode } from 'react';
import { useCookers } from '../api/queries';
import { Found } from './found';
import styles from './from-recipe.module.css';
import { asOf } from './line-choices';
import { MakeThePlan } from './make-the-plan';
import { useRecipe } from './use-recipe';

/** A recipe of anybody's, pasted or from a file, made into a plan: every guess beside the line it was made from. */
export function FromRecipe(): ReactNode {
  const cookers = useCookers().data ?? [];
  const { text, setText, right, reading, wrong, setWrong, busy, cookerId, takeCooker, begin, putRight } = useRecipe();
  return (
    <div className="room from-recipe">
      <h1>From a recipe</h1>
      <p className="dim">
        Paste a recipe, or the whole source of a page with one. Hervir says what it takes each line for; nothing is kept
        until you make the plan.
      </p>
      <Input.TextArea
        aria-label="The recipe"
        rows={reading ? 3 : 10}
        value={text}
        placeholder="1.5 kg goat shoulder, in chunks …"
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
          Read it
        </Button>
        <Upload
          accept=".html,.htm,.json,.jsonld,.txt,.md,text/*,application/json"
          showUploadList={false}
          beforeUpload={(file) => {
            void file.text().then(begin);
            return false;
          }}
        >
          <Button>From a file…</Button>
        </Upload>
        <Select
          aria-label="In which cooker"
          value={cookerId ?? null}
          placeholder="a medium electric pot"
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
