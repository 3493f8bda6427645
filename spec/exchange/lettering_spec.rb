# frozen_string_literal: true

require "spec_helper"
require_relative "../../exchange/lettering"

RSpec.describe NutShelf::Exchange::Lettering do
  it "needs no further font for what Latin letters write" do
    expect(described_class.fonts_for("Żurek, crème brûlée, 5 €")).to eq([])
    expect(described_class.fonts_for("щи 罐头")).to eq(%w[wide east-asia])
  end

  it "sets what is written from the right from the right, and leaves numbers as they are" do
    expect(described_class.laid_out("חומוס 500 g")).to eq("500 g סומוח")
    expect(described_class.laid_out("A חלב B")).to eq("B בלח A")
    expect(described_class.laid_out("plain 500 g")).to eq("plain 500 g")
  end

  it "joins letters that join" do
    expect(described_class.laid_out("حمص").chars).to all(match(/[\uFE70-\uFEFC]/))
  end

  it "marks what no font here has, and lets no control sign through" do
    expect(described_class.laid_out("tea \u{1F41F}\u0007!")).to eq("tea □ !")
  end
end
