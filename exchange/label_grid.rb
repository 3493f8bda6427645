# frozen_string_literal: true

require_relative "../core/value"

module NutShelf
  module Exchange
    # Sheets of sticky labels in common grids, and a roll. All sizes in millimetres. `padding` is what stays white
    # inside each cell: more where cells reach the paper's edge, which few printers can ink. Frozen.
    LabelGrid =
      Core::Value.of(:key, :name, :columns, :rows, :width, :height, :left, :top, :gap_x, :gap_y, :page, padding: 2.0) do
        def per_page = columns * rows

        # @param index [Integer] cell on its page, row by row
        # @return [Array(Float, Float)] left and top of the cell
        def origin(index)
          row, column = index.divmod(columns)
          [left + (column * (width + gap_x)), top + (row * (height + gap_y))]
        end
      end

    LabelGrid::A4 = [210.0, 297.0].freeze
    LabelGrid::LETTER = [215.9, 279.4].freeze
    LabelGrid::ALL =
      [
        LabelGrid.new(
          key: "3x8",
          name: "24 on a sheet, 70 x 37 mm",
          columns: 3,
          rows: 8,
          width: 70.0,
          height: 37.0,
          left: 0.0,
          top: 0.5,
          gap_x: 0.0,
          gap_y: 0.0,
          page: LabelGrid::A4,
          padding: 4.5
        ),
        LabelGrid.new(
          key: "2x7",
          name: "14 on a sheet, 99.1 x 38.1 mm",
          columns: 2,
          rows: 7,
          width: 99.1,
          height: 38.1,
          left: 4.65,
          top: 15.15,
          gap_x: 2.5,
          gap_y: 0.0,
          page: LabelGrid::A4
        ),
        LabelGrid.new(
          key: "2x4",
          name: "8 on a sheet, 99.1 x 67.7 mm",
          columns: 2,
          rows: 4,
          width: 99.1,
          height: 67.7,
          left: 4.65,
          top: 13.1,
          gap_x: 2.5,
          gap_y: 0.0,
          page: LabelGrid::A4
        ),
        LabelGrid.new(
          key: "4x10",
          name: "40 on a sheet, 48.5 x 25.4 mm",
          columns: 4,
          rows: 10,
          width: 48.5,
          height: 25.4,
          left: 8.0,
          top: 21.5,
          gap_x: 0.0,
          gap_y: 0.0,
          page: LabelGrid::A4
        ),
        LabelGrid.new(
          key: "letter-3x10",
          name: "30 on a Letter sheet, 66.7 x 25.4 mm",
          columns: 3,
          rows: 10,
          width: 66.675,
          height: 25.4,
          left: 4.76,
          top: 12.7,
          gap_x: 3.175,
          gap_y: 0.0,
          page: LabelGrid::LETTER
        ),
        LabelGrid.new(
          key: "letter-2x5",
          name: "10 on a Letter sheet, 101.6 x 50.8 mm",
          columns: 2,
          rows: 5,
          width: 101.6,
          height: 50.8,
          left: 3.97,
          top: 12.7,
          gap_x: 4.76,
          gap_y: 0.0,
          page: LabelGrid::LETTER
        ),
        LabelGrid.new(
          key: "roll",
          name: "A roll, 62 x 29 mm each",
          columns: 1,
          rows: 1,
          width: 62.0,
          height: 29.0,
          left: 0.0,
          top: 0.0,
          gap_x: 0.0,
          gap_y: 0.0,
          page: [62.0, 29.0].freeze
        )
      ].to_h { |grid| [grid.key, grid] }.freeze
  end
end
