<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** What has become of a level since it was marked. */
enum LevelState: string
{
    /** Price has not come to it. */
    case Active = 'active';
    /** Price came to it and it held. */
    case Tested = 'tested';
    /** Price closed beyond it. */
    case Broken = 'broken';
    /** It broke, and then held from the other side. */
    case RoleChanged = 'role_changed';

    /**
     * The state after these touches: that of the last break and what followed it.
     *
     * @param list<Touch> $touches in order of time
     */
    public static function after(array $touches): self
    {
        $state = self::Active;
        foreach ($touches as $touch) {
            $state = match ($touch->kind) {
                TouchKind::Broke => self::Broken,
                TouchKind::RoleChange => self::RoleChanged,
                // back at the side it came from at first, it has its old role again
                TouchKind::Held => self::Tested,
            };
        }

        return $state;
    }
}
