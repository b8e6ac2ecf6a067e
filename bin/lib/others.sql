-- Copies one small school so many times, each with ids of its own: what a database holds beside the school that is measured.
-- As the superuser, past row policies, references and triggers. Expects :template (the id of the school) and :count.
set session_replication_role = replica;
create function pg_temp.other(id uuid, nth int) returns uuid language sql immutable as $$ select md5(id::text || nth)::uuid $$;
create function pg_temp.others(template uuid, most int) returns void language plpgsql as $$
declare
  one record;
  names text;
  expressions text;
begin
  for one in select table_name::text as name from information_schema.columns where table_schema = 'public' and column_name = 'school_id' union select 'schools' loop
    select string_agg(quote_ident(column_name), ', ' order by ordinal_position),
           string_agg(case
             when data_type = 'uuid' then format('pg_temp.other(t.%I, nth)', column_name)
             when udt_name = '_uuid' then format('(select coalesce(array_agg(pg_temp.other(x, nth)), ''{}'') from unnest(t.%I) x)', column_name)
             when one.name = 'users' and column_name = 'email' then 'nth || t.email'
             when column_name in ('token', 'key') and one.name in ('student_links', 'link_devices') then format('md5(t.%I || nth)', column_name)
             else format('t.%I', column_name) end, ', ' order by ordinal_position)
      into names, expressions
      from information_schema.columns where table_schema = 'public' and table_name = one.name and is_generated = 'NEVER';
    execute format('insert into %I (%s) select %s from %I t, generate_series(1, %s) nth where t.%I = %L', one.name, names, expressions, one.name, most,
                   case when one.name = 'schools' then 'id' else 'school_id' end, template);
  end loop;
end $$;
select pg_temp.others(:'template'::uuid, :count::int);
