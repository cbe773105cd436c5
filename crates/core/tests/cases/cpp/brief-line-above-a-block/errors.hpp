//! Tells an error of a pump in words.
/*!
    \ingroup errors
    \param code what the pump says
    \param tongue no such
    \return the words
*/
const char *in_words(int code);

/*!
    \param code what the pump says
    \return the words
*/
const char *in_other_words(int code);
