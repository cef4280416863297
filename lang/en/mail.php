<?php

declare(strict_types=1);

return [
    'arrived' => '{0} No new message.|{1} 1 new message.|[2,*] :count new messages.',
    'being_read' => 'The messages are being read; they lie in Gather one after another.',
    'too_large' => 'That file is larger than :megabytes MB. Split the box and bring in the parts.',
    'taken' => '“:title” is in the inbox.',
    'put_off' => '“:subject” comes back on :date.',
    'answered' => '“:subject” is answered.',
    'filed' => '“:subject” is filed.',
    'new' => '“:subject” is new again.',
    'no_day' => 'Choose a day from today on.',
    'no_state' => 'A message can be new, answered or filed.',
    'token_name' => 'Give the token a name, so that you know it later.',
    'token_revoked' => '“:name” can catch nothing any more.',
    'token_unknown' => 'This token is unknown or was revoked. Make a new one in Nekto.',
];
