import { Migration } from '@mikro-orm/migrations';

/** Plans, cookers and settings. */
export class Migration0001Kitchen extends Migration {
  override up(): void {
    this.addSql(
      'create table `braise` (`id` text not null, `plan` json not null, `revision` integer not null, `created_at` text not null, `updated_at` text not null, `deleted_at` text null, primary key (`id`));',
    );
    this.addSql('create index `braise_deleted_at_updated_at_index` on `braise` (`deleted_at`, `updated_at`);');
    this.addSql(
      'create table `cooker` (`id` text not null, `cooker` json not null, `created_at` text not null, primary key (`id`));',
    );
    this.addSql('create table `settings` (`id` integer not null, `settings` json not null, primary key (`id`));');
  }
}

/** Cooks and what happened in them. */
export class Migration0002Cooks extends Migration {
  override up(): void {
    this.addSql(
      'create table `cook` (`id` text not null, `braise_id` text null, `name` text not null, `plan` json not null, `guide` json not null, `units` text not null, `started_at` text not null, `finished_at` text null, primary key (`id`));',
    );
    this.addSql('create index `cook_finished_at_started_at_index` on `cook` (`finished_at`, `started_at`);');
    this.addSql(
      'create table `cook_event` (`seq` integer not null primary key autoincrement, `id` text not null, `cook_id` text not null, `kind` text not null, `at` text not null, `payload` json not null, `received_at` text not null);',
    );
    this.addSql('create index `cook_event_cook_id_seq_index` on `cook_event` (`cook_id`, `seq`);');
    this.addSql('create unique index `cook_event_id_unique` on `cook_event` (`id`);');
  }
}

/** Paired devices. */
export class Migration0003Devices extends Migration {
  override up(): void {
    this.addSql(
      'create table `device` (`id` text not null, `name` text not null, `paired_at` text not null, primary key (`id`));',
    );
  }
}

/** Rehearsals with the simulated cooker, and cooks linked to it. */
export class Migration0004Rehearsals extends Migration {
  override up(): void {
    this.addSql('alter table `cook` add column `link` text null;');
    this.addSql(
      'create table `rehearsal` (`id` text not null, `name` text not null, `exercise` text null, `plan` json not null, `units` text not null, `setup` json not null, `seconds` double not null, `created_at` text not null, `finished_at` text null, `mark` text not null, `debrief` json null, primary key (`id`));',
    );
    this.addSql('create index `rehearsal_created_at_index` on `rehearsal` (`created_at`);');
    this.addSql(
      'create table `rehearsal_act` (`seq` integer not null primary key autoincrement, `rehearsal_id` text not null, `at_s` double not null, `act` json not null);',
    );
    this.addSql('create index `rehearsal_act_rehearsal_id_seq_index` on `rehearsal_act` (`rehearsal_id`, `seq`);');
  }
}

/** The log, and what was learnt from it. */
export class Migration0005Log extends Migration {
  override up(): void {
    this.addSql(
      'create table `log_entry` (`id` text not null, `served_at` text not null, `cut` text not null, `species` text not null, `cooker` text not null, `result` text not null, `late` double null, `tough` double null, `grams` double not null, `pin_ratio` double null, `trim_share` double null, `cook_share` double null, `words` text not null, `entry` json not null, `plan` json not null, `observation` json not null, `photo` integer not null default false, primary key (`id`));',
    );
    this.addSql('create index `log_entry_served_at_words_index` on `log_entry` (`served_at`, `words`);');
    this.addSql('create index `log_entry_cut_served_at_index` on `log_entry` (`cut`, `served_at`);');
    this.addSql('create index `log_entry_species_served_at_index` on `log_entry` (`species`, `served_at`);');
    this.addSql('create index `log_entry_cooker_served_at_index` on `log_entry` (`cooker`, `served_at`);');
    this.addSql('create index `log_entry_result_served_at_index` on `log_entry` (`result`, `served_at`);');
    this.addSql('create index `log_entry_late_served_at_index` on `log_entry` (`late`, `served_at`);');
    this.addSql('create index `log_entry_tough_served_at_index` on `log_entry` (`tough`, `served_at`);');
    this.addSql('create index `log_entry_grams_served_at_index` on `log_entry` (`grams`, `served_at`);');
    this.addSql('create index `log_entry_cut_result_index` on `log_entry` (`cut`, `result`);');
    this.addSql(
      'create index `log_entry_cut_trim_share_cook_share_index` on `log_entry` (`cut`, `trim_share`, `cook_share`);',
    );
    this.addSql(
      'create table `learnt` (`id` text not null, `kind` text not null, `of` text not null, `weights` json not null, `cooks` integer not null, `short` integer not null, `past` integer not null, `off` integer not null default false, primary key (`id`));',
    );
  }
}

/** What is left of a meal, and kept. */
export class Migration0006Kept extends Migration {
  override up(): void {
    this.addSql(
      'create table `kept_dish` (`id` text not null, `kept` json not null, `gone` text null, primary key (`id`));',
    );
    this.addSql('create index `kept_dish_gone_index` on `kept_dish` (`gone`);');
  }
}

/**
 * An index of the words of the log. It holds no text of its own and is kept up by the database itself, so that no way of writing a
 * line can forget it. It knows a line by its row number, which a backup beside (`vacuum into`) keeps.
 */
export class Migration0007LogWords extends Migration {
  override up(): void {
    this.addSql(
      "create virtual table `log_words` using fts5(words, content='log_entry', content_rowid='rowid', tokenize='unicode61 remove_diacritics 2', prefix='2 3');",
    );
    const put = 'insert into `log_words` (rowid, words) values (new.rowid, new.words);';
    const take = "insert into `log_words` (`log_words`, rowid, words) values ('delete', old.rowid, old.words);";
    this.addSql(`create trigger \`log_words_put\` after insert on \`log_entry\` begin ${put} end;`);
    this.addSql(`create trigger \`log_words_taken\` after delete on \`log_entry\` begin ${take} end;`);
    this.addSql(
      `create trigger \`log_words_changed\` after update of \`words\` on \`log_entry\` begin ${take} ${put} end;`,
    );
    this.addSql("insert into `log_words` (`log_words`) values ('rebuild');");
  }
}

/** In order; one is only ever added, never changed once it has landed. */
export const MIGRATIONS = [
  { name: 'Migration0001Kitchen', class: Migration0001Kitchen },
  { name: 'Migration0002Cooks', class: Migration0002Cooks },
  { name: 'Migration0003Devices', class: Migration0003Devices },
  { name: 'Migration0004Rehearsals', class: Migration0004Rehearsals },
  { name: 'Migration0005Log', class: Migration0005Log },
  { name: 'Migration0006Kept', class: Migration0006Kept },
  { name: 'Migration0007LogWords', class: Migration0007LogWords },
];
