class Gate
	/// A gate of the yard.
{
public:
	Gate();
		/// Makes a gate.

	void open(int width, bool wide);
		/// Opens it.
		///
		/// @param width in metres

	bool close();
		/// Closes it, and tells whether it was open.
		///
		/// @param width no such

	int weight() const;
};

/// Opens all.
void open_all();
	/// Opens nothing of this line.

/// Closes all.
void close_all();

/**
@remarks
    This is called whenever the gate moves.
@param move
    How far it went.
*/
virtual void gate_moved(int moves);

/// }
/// @name Hinges
/// {

int hinges();

//! @brief Tips a crate over.
//
//! @note It must be empty.
//
//! @param crate the crate
void tip(int crate);

class Winch
{
public:
	/** Called when it stops.
		signature : void method(Winch* winch, int turns)
		@param winch which one
		@param turns how far it went
	*/
	Delegate<Winch*, int> stopped;

	/** How far it went.
		@param winch which one
	*/
	int turns;

	/**
	 * Checks whether it may turn. The brake is not looked at.
	 */
	bool may_turn() const;
};
