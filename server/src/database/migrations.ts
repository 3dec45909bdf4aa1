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

/** In order; one is only ever added, never changed once it has landed. */
export const MIGRATIONS = [{ name: 'Migration0001Kitchen', class: Migration0001Kitchen }];
