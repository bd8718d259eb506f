<?php

declare(strict_types=1);

return [
    // Whether felters sign in, each to what is their own. Without it there is one felter: whoever sits at this machine.
    'accounts' => (bool) env('IMPA_ACCOUNTS', false),

    // How many MB of pictures each felter may keep; 0 for no end.
    'pictures_mb' => (int) env('IMPA_PICTURES_MB', 0),

    // Whether a line is written for each request, and counts are kept for /metrics.
    'request_log' => (bool) env('IMPA_REQUEST_LOG', false),

    // Where tablets on the same network find it (bin/demo --share), and the names and addresses they may ask under.
    'share' => (string) env('IMPA_SHARE', ''),
    'share_hosts' => (string) env('IMPA_SHARE_HOSTS', ''),

    // Whether answers are kept for a while; null: where the server reads its code once, as it starts.
    'keeps_answers' => null,

    // The file that says where screens are served as they are written (bin/dev).
    'hot' => (string) env('IMPA_HOT', ''),
];
