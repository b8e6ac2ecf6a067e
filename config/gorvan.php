<?php

declare(strict_types=1);

/*
 * Everything of Gorvan's own that can be configured. The framework's own settings keep their defaults and are set
 * by the environment (see `settings` in bin/lib/common.sh, which sets it).
 */

return [
    // The most students one group may have, and the most marks one request may carry (all or nothing).
    'limits' => [
        'students' => 120,
        'marks' => 2000,
        'meetings' => 400,
    ],

    // By what mail goes, and whom it comes from. "mailbox" keeps it here, where the mailbox page shows it.
    'mailer' => env('MAIL_MAILER', 'mailbox'),
    'mail_from' => env('MAIL_FROM_ADDRESS', 'gorvan@localhost'),

    // The names this installation is asked for; no other is answered.
    'hosts' => env('GORVAN_HOSTS', '127.0.0.1,localhost'),

    // Whether a person who comes to an empty installation may found the school there.
    'founding' => (bool) env('GORVAN_FOUNDING', true),
];
