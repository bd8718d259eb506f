<?php

declare(strict_types=1);

return [
    'stale' => 'Changed elsewhere',
    'archive-refused' => 'This archive is not taken in',
    'record-refused' => 'This record is not kept',
];
