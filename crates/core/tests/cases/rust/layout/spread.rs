/// Wägt.
///
/// Mehr.
pub
fn wäge<
	T: Into<Vec<Vec<u32>>>, // nested >>
>(
	größe: T, /* in kg, (ja) */
	#[allow(unused)] b: [u8; { 1 + 2 }],
) -> Result<T, String>
{
	Err(String::new())
}
/** A block.
 * With stars. */
pub fn block() {}
/// Broken.
pub fn broken(a: u32 { }
/// After.
pub fn after(a: u32) {}
