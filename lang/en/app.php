<?php

declare(strict_types=1);

return [
    'page_expired' => 'This page had been open too long to be sure it was you. Nothing was lost: send it again.',
];
