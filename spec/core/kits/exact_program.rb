# frozen_string_literal: true

# The most a sum of amounts can come to under limits, exactly (the simplex method by Bland's rule): another way to the
# same answer, for specs.
class ExactProgram
  # @param limits [Array<Array(Array<Rational>, Rational)>] factors of the amounts and what they may sum up to, 0 or
  #   more
  # @param size [Integer] amounts
  def initialize(limits, size)
    @size = size
    @rows = limits.each_with_index.map do |(factors, most), at|
      [*factors, *Array.new(limits.size) { |other| other == at ? 1r : 0r }, most.to_r]
    end
    @basis = Array.new(limits.size) { |at| size + at }
    @goal = Array.new(size, -1r) + Array.new(limits.size + 1, 0r)
  end

  # @return [Rational]
  def most
    while (column = (0...(@goal.size - 1)).find { |at| @goal[at].negative? })
      rows = @rows.each_index.select { |at| @rows[at][column].positive? }
      turn(rows.min_by { |at| [@rows[at].last / @rows[at][column], @basis[at]] }, column)
    end
    @goal.last
  end

  private

  def turn(row, column)
    pivot = @rows[row][column]
    @rows[row] = @rows[row].map { |one| one / pivot }
    @rows.each_index { |at| @rows[at] = less(@rows[at], row, column) unless at == row }
    @goal = less(@goal, row, column)
    @basis[row] = column
  end

  def less(cells, row, column)
    factor = cells[column]
    factor.zero? ? cells : cells.zip(@rows[row]).map { |one, other| one - (factor * other) }
  end
end
