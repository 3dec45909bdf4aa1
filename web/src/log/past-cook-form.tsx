import type { LogItem } from '@hervir/contract';
import {
  cutById,
  DEFAULT_KITCHEN,
  GRADES,
  LIMITS,
  newPlan,
  TARGETS,
  type Form,
  type Grade,
  type Target,
} from '@hervir/core';
import { Input, InputNumber, Modal, Select } from 'antd';
import dayjs from 'dayjs';
import { useState, type ReactNode } from 'react';
import { newId, request } from '../api/client';
import { queryClient, useCookers, useSettings } from '../api/queries';
import { Field } from '../shared/field';
import { QuantityInput } from '../shared/quantity-input';
import { FORM_PHRASES, GRADE_WORDS, WANTED_WORDS, wallClockOn } from '../shared/words';
import { DayField } from './day-field';
import { cutList } from '../shared/cut-options';
import { clsx } from 'clsx';
import styles from './log.module.css';
import { useFocusBack } from '../shared/use-focus-back';
import { t, textOf } from '../language/t';
import { whyOf } from '../language/why-of';
import { toastTrouble } from '../shared/toast';
import { BY_NAME } from '../shared/by-name';

/** A cook from before, by its few figures that matter. */
export function PastCookForm({ close }: { readonly close: () => void }): ReactNode {
  useFocusBack();
  const cookers = useCookers().data ?? [];
  const kitchen = useSettings().data?.kitchen ?? DEFAULT_KITCHEN;
  const [id] = useState(newId);
  const [day, setDay] = useState(dayjs().format('YYYY-MM-DD'));
  const [dayIsThere, setDayIsThere] = useState(true);
  const [cut, setCut] = useState('beef-chuck');
  const [form, setForm] = useState<Form>('chunks');
  const [grams, setGrams] = useState(1500);
  const [cooker, setCooker] = useState<string | null>(null);
  const [minutes, setMinutes] = useState(40);
  const [target, setTarget] = useState<Target>('fork');
  const [grade, setGrade] = useState<Grade>('fork');
  const [notes, setNotes] = useState('');
  const pot = cookers.find((one) => one.id === cooker)?.cooker ?? cookers[0]?.cooker;
  const save = async (): Promise<void> => {
    const plan = {
      ...newPlan({ cut, form, grams, target, kitchen, ...(pot ? { cooker: pot } : {}) }),
      pressureMinutes: minutes,
    };
    try {
      await request<LogItem>('POST', '/log', { id, servedAt: wallClockOn(day, '19:00'), plan, minutes, grade, notes });
      await queryClient.invalidateQueries();
      close();
    } catch (error) {
      toastTrouble(t('shared.not-added', { why: whyOf(error) }));
    }
  };
  return (
    <Modal
      title={t('log.add-a-past-cook')}
      open
      okText={t('log.add-it')}
      okButtonProps={{ disabled: !dayIsThere }}
      onOk={() => void save()}
      onCancel={close}
    >
      <div className={clsx('fields', styles['past-cook'])}>
        <DayField value={day} onChange={setDay} onValid={setDayIsThere} />
        <Field label={t('log.cut')}>
          {(at) => (
            <Select
              id={at}
              showSearch={BY_NAME}
              value={cut}
              options={cutList()}
              onChange={(next) => {
                setCut(next);
                const { forms } = cutById(next);
                if (!forms.includes(form)) setForm(forms[0] ?? 'whole');
              }}
            />
          )}
        </Field>
        <Field label={t('log.cut-how')}>
          {(at) => (
            <Select
              id={at}
              value={form}
              options={cutById(cut).forms.map((one) => ({ value: one, label: textOf(FORM_PHRASES[one]) }))}
              onChange={setForm}
            />
          )}
        </Field>
        <Field label={t('log.how-much')}>
          {() => (
            <QuantityInput
              label={t('log.how-much-meat')}
              kind="mass"
              value={grams}
              range={LIMITS.meatGrams}
              onChange={(next) => next !== undefined && setGrams(next)}
            />
          )}
        </Field>
        <Field label={t('log.cooker')}>
          {(at) => (
            <Select
              id={at}
              value={cooker ?? cookers[0]?.id ?? null}
              placeholder={t('log.a-middling-electric-pot')}
              options={cookers.map((one) => ({ value: one.id, label: one.cooker.name }))}
              onChange={setCooker}
            />
          )}
        </Field>
        <Field label={t('log.under-pressure')}>
          {(at) => (
            <InputNumber
              id={at}
              suffix={t('log.min')}
              min={0}
              max={LIMITS.pressureMinutes.max}
              value={minutes}
              onChange={(next) => next !== null && setMinutes(next)}
            />
          )}
        </Field>
        <Field label={t('log.it-was-to-be')}>
          {(at) => (
            <Select
              id={at}
              value={target}
              options={TARGETS.map((one) => ({ value: one, label: textOf(WANTED_WORDS[one]) }))}
              onChange={setTarget}
            />
          )}
        </Field>
        <Field label={t('log.it-came-out')}>
          {(at) => (
            <Select
              id={at}
              value={grade}
              options={GRADES.map((one) => ({ value: one, label: textOf(GRADE_WORDS[one]) }))}
              onChange={setGrade}
            />
          )}
        </Field>
        <Field label={t('log.a-word-on-it')}>
          {(at) => (
            <Input.TextArea
              id={at}
              rows={2}
              maxLength={4000}
              value={notes}
              onChange={(event) => setNotes(event.target.value)}
            />
          )}
        </Field>
      </div>
    </Modal>
  );
}
