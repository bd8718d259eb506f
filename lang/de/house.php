<?php

declare(strict_types=1);

return [
    'stale' => 'Anderswo geändert',
    'archive-refused' => 'Dieses Archiv wird nicht übernommen',
    'record-refused' => 'Dieser Eintrag wird nicht behalten',
];
