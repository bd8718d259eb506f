<?php

declare(strict_types=1);

namespace Impa\Figure\Term;

use Impa\Voice\Message;

/** What a detail is to the felter, whatever she calls it. */
enum DetailRole: string
{
    case Other = 'other';
    case Eye = 'eye';
    case EyeWhite = 'eye-white';
    case Pupil = 'pupil';
    case Spark = 'spark';
    case Lid = 'lid';
    case Brow = 'brow';
    case Nose = 'nose';
    case Mouth = 'mouth';
    case Cheek = 'cheek';
    case Spot = 'spot';
    case Seam = 'seam';
    case Rim = 'rim';

    /** By words of the names that Impa itself gives; the first that is found says it: an eye's white is no eye. */
    private const WORDS = [
        'whites?' => self::EyeWhite,
        'brows?|eyebrows?' => self::Brow,
        'lids?|lash(?:es)?|eyelids?|eyelash(?:es)?' => self::Lid,
        'sparks?|glints?' => self::Spark,
        'rims?' => self::Rim,
        'pupils?' => self::Pupil,
        'eyes?' => self::Eye,
        'noses?' => self::Nose,
        'mouths?|smiles?' => self::Mouth,
        'cheeks?' => self::Cheek,
        'spots?|freckles?' => self::Spot,
        'seams?' => self::Seam,
    ];

    /** By a name that Impa gave: of what is seen or put on, and of a document that does not say it. */
    public static function byName(string $name): self
    {
        foreach (self::WORDS as $words => $role) {
            if (preg_match("/\b(?:{$words})\b/i", $name) === 1) {
                return $role;
            }
        }

        return self::Other;
    }

    public function word(): Message
    {
        return Message::of('figure.role.'.$this->value);
    }

    /** What sees: it can be felted, sewn on as a bead, or glued on ready-made. */
    public function isEye(): bool
    {
        return $this === self::Eye || $this === self::Pupil;
    }
}
