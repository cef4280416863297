<?php

declare(strict_types=1);

namespace Nekto\Core\Propose;

/** What similar lines got before, and why it is proposed. */
final readonly class Proposal
{
    /**
     * @param  int|string  $label  what it is: an id, a name, minutes
     * @param  float  $chance  that it is right by this model, 0 to 1
     * @param  string  $word  of the line that speaks for it most, as it is looked for
     * @param  int  $had  examples with that word that got the label
     * @param  int  $of  examples with that word
     */
    public function __construct(public int|string $label, public float $chance, public string $word, public int $had, public int $of) {}
}
