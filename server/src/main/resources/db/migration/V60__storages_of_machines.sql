-- Machines have storages, spindles and ways of numbering; definitions are changed by people.
update machine set definition = json_object(
  'id', json_extract(definition, '$.id'),
  'name', json_extract(definition, '$.name'),
  'kind', json_extract(definition, '$.kind'),
  'spindles', json_array(json_object(
    'name', 'main',
    'carries', 'TOOL',
    'seat', json_extract(definition, '$.seat'),
    'rpm', json_extract(definition, '$.limits.rpm'),
    'power', json_extract(definition, '$.limits.power'),
    'torque', json_extract(definition, '$.limits.torque'),
    'locks', false)),
  'storages', json_array(json_object(
    'id', 'C',
    'form', upper(json_value(definition, '$.magazine.form')),
    'places', json_extract(definition, '$.magazine.pockets'),
    'prefix', '',
    'first', 1,
    'pitch', null,
    'closed', json_extract(definition, '$.magazine.closed'),
    'random', json_extract(definition, '$.magazine.random'),
    'seat', null,
    'limits', json_object(
      'diameterFull', json_extract(definition, '$.limits.diameter'),
      'diameterEmpty', json_extract(definition, '$.limits.diameterAlone'),
      'length', json_extract(definition, '$.limits.length'),
      'mass', json_extract(definition, '$.limits.mass'),
      'moment', json_extract(definition, '$.limits.moment')),
    'clearance', 0,
    'turret', null)),
  'axes', json_array(),
  'habits', json_remove(json_extract(definition, '$.habits'), '$.identityApart'),
  'numbering', json_object(
    'scheme', if(json_value(definition, '$.habits.identityApart') in ('1', 'true'),
      'NUMBER_APART', 'NUMBER_IS_PLACE'),
    'from', null,
    'to', null),
  'outputs', json_object('hoodFrom', null, 'hoodTo', null, 'blower', false,
    'coolant', json_array()))
where json_exists(definition, '$.magazine');

alter table machine
  add column version_no int not null default 1,
  add column retired_at datetime(6) null;
