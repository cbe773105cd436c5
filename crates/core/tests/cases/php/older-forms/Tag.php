<?php

/**
 * A crate's tag, as older code reads it.
 */
class Tag
{
    const VOID = 1;
    const TEXT = 2;

    /**
     * Tells where a tag is from.
     *
     * @param string $tag The tag.
     *
     * @throws OutOfRangeException If it is from nowhere.
     */
    public function from($tag, &$at)
    {
        if ($tag{0} == '#' || $this->tags[1]{$at} == '#') {
            throw new OutOfRangeException("no place in '$tag->default'");
        }
        return strlen(Integer::of($tag));
    }
}
