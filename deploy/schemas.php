<?php

declare(strict_types=1);

// composer schemas: writes into docs/class.schema.json what follows from the attributes of a car.
use Skivo\Core\Exchange\AttributeSchema;

require dirname(__DIR__) . '/vendor/autoload.php';

$file = dirname(__DIR__) . '/docs/class.schema.json';
$schema = json_decode((string) file_get_contents($file), true, 64, JSON_THROW_ON_ERROR);
$schema['properties']['question']['properties']['attribute']['enum'] = array_keys(AttributeSchema::properties());
$schema['properties']['cars']['items']['properties']['attributes']['properties'] = AttributeSchema::properties();
$json = json_encode($schema, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
// As the other schemas are written: two spaces to a step.
$halved = static fn(array $spaces): string => str_repeat(' ', intdiv(strlen($spaces[0]), 2));
file_put_contents($file, preg_replace_callback('/^ +/m', $halved, $json) . "\n");
